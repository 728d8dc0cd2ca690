using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Exercises;
using Ingegno.Core.Homes;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;

namespace Ingegno.Core.Figures;

/// <summary>The figure of one line at one place, done as one exercise: a line has others to turn to.</summary>
public sealed record LineFigure(string Place, int Line, string Exercise, SetUpFigure Figure);

/// <summary>The figures of all lines of a plan, each at the place's own heights and with its own things.</summary>
public static class PlanFigures
{
    public static ImmutableArray<LineFigure> Of(Plan plan, IReadOnlyList<ClientPlace> places, ClientProfile client, Catalogue catalogue)
    {
        PlannedPlace[] planned = [new(plan.Place ?? places[0].Id, plan.PlaceName, plan.Sessions), .. plan.Elsewhere];
        return Of(
            planned.SelectMany(p => p.Sessions.SelectMany(s => s.Lines).Where(l => l.Prescription is not null).Select(l => (p.Place, l.Line, l.Prescription!))), places, client, catalogue);
    }

    public static ImmutableArray<LineFigure> Of(LinkProgramme programme, IReadOnlyList<ClientPlace> places, ClientProfile client, Catalogue catalogue) => Of(
        programme.Places.SelectMany(p => p.Sessions.SelectMany(s => s.Lines).SelectMany(l => l.Instead.Prepend(l)).Select(l => (p.Id, l.Line, l.Prescription))), places, client, catalogue);

    private static ImmutableArray<LineFigure> Of(
        IEnumerable<(string Place, int Line, Prescription Prescription)> lines, IReadOnlyList<ClientPlace> places, ClientProfile client, Catalogue catalogue) =>
    [
        .. from line in lines
           let home = places.FirstOrDefault(p => p.Id == line.Place)?.Home
           let exercise = catalogue.Find(line.Prescription.Exercise)
           where home is not null && exercise is not null
           let figure = Drawing.Of(exercise, FigureSetting.Of(line.Prescription, exercise, home, client))
           where figure is not null
           select new LineFigure(line.Place, line.Line, exercise.Id, figure),
    ];
}
