using System.Globalization;
using System.Text;
using Ingegno.Simulation;
using Ingegno.Simulation.Tests;

namespace Ingegno.Benchmarks;

/// <summary>
/// The forecasts shown before sets against what bodies of three laws could truly do, as the table and the reliability plot of docs/forecasts.md.
/// </summary>
internal static class ForecastTable
{
    private const int Clients = 60, AwkwardClients = 20;

    private const int Size = 420, Margin = 48;

    /// <param name="plot">SVG to write.</param>
    internal static void Write(string plot)
    {
        var drawn = new List<(string Name, string Colour, string Dash, double[] Parts)>();
        Console.WriteLine("| law, clients | sets | cases | miss | who knows the body | to one side | range holds | width |");
        Console.WriteLine("| --- | --- | --- | --- | --- | --- | --- | --- |");
        foreach (var law in Enum.GetValues<FatigueLaw>())
        {
            foreach (var habit in Enum.GetValues<Habit>())
            {
                var all = TrainedWeeks.Of(law, habit == Habit.Plain ? Clients : AwkwardClients, habit);
                // Of a session turned round only the first shows what its place is worth: after it the new one is learned.
                int newest = habit == Habit.Reordered ? TrainedWeeks.SixthSession : TrainedWeeks.Sessions;
                var near = all.Where(t => t.Shown is not null && t.Session >= TrainedWeeks.SixthSession && t.Session <= newest && t.IsNearFailure).ToArray();
                foreach (var kind in habit == Habit.Plain ? near.GroupBy(t => t.Kind).OrderBy(g => g.Key).ToArray() : [])
                {
                    Row($"{law}, {habit}", Words(kind.Key), [.. kind]);
                }

                Row($"{law}, {habit}", "all", near);
                var last = all.Where(t => t.IsLast && t.Session >= TrainedWeeks.SixthSession).ToArray();
                var wrong = all.Where(t => t.IsLast).GroupBy(t => (t.Client, t.Line)).Select(g => g.OrderBy(t => t.Session).ToArray()).Where(g => !g[0].Sits).ToArray();
                Console.WriteLine(string.Create(CultureInfo.InvariantCulture, $"| | last sets leaving 0 to 4: {Part(last, t => t.Sits):0} %, under 0: {Part(last, t => t.Left < 0):0} %; of {wrong.Length} lines wrong at first put right within three exposures: {100.0 * wrong.Count(g => g.Skip(1).Take(3).Any(t => t.Sits)) / wrong.Length:0} % | | | | | | |"));
                if (habit == Habit.Plain)
                {
                    string colour = law switch { FatigueLaw.ThreeCompartments => "#2f5d5a", FatigueLaw.CriticalForce => "#a9411d", _ => "#5b4a8a" };
                    drawn.Add(($"{law}, first sets", colour, "", Reliability(near.Where(t => t.Kind is SetKind.First or SetKind.FirstOverFifteen))));
                    drawn.Add(($"{law}, later sets", colour, "5 4", Reliability(near.Where(t => t.Kind is not (SetKind.First or SetKind.FirstOverFifteen)))));
                }
            }
        }

        File.WriteAllText(plot, Drawn(drawn));
    }

    private static double Part(TrainedOnce[] sets, Func<TrainedOnce, bool> holds) => 100.0 * sets.Count(holds) / sets.Length;

    private static string Words(SetKind kind) => kind switch
    {
        SetKind.First => "first, to 15",
        SetKind.Later => "later, to 15",
        SetKind.FirstOverFifteen => "first, over 15",
        SetKind.LaterOverFifteen => "later, over 15",
        _ => "superset on one muscle",
    };

    private static void Row(string who, string sets, TrainedOnce[] cases) => Console.WriteLine(string.Create(
        CultureInfo.InvariantCulture,
        $"| {who} | {sets} | {cases.Length} | {cases.Average(t => Math.Abs(t.Shown!.Middle - t.Truly)):0.00} | {cases.Average(t => Math.Abs(t.Usually - t.Truly)):0.00} | {cases.Average(t => t.Shown!.Middle - t.Truly):0.00} | {100 * cases.Average(t => Inside(t, 0.8)):0} % | {cases.Average(t => t.Shown!.High - t.Shown.Low):0.0} |"));

    /// <summary>Part of sets inside the central range of every tenth, whole repetitions counted by the part of them that lies inside.</summary>
    private static double[] Reliability(IEnumerable<TrainedOnce> sets) =>
        sets.ToArray() is var all ? [.. Enumerable.Range(0, 11).Select(i => i is 0 ? 0 : all.Average(t => Inside(t, Math.Min(0.99, i / 10.0))))] : [];

    private static double Inside(TrainedOnce set, double part)
    {
        double sure = Math.Log(set.Shown!.High / set.Shown.Middle) / Reach(0.8);
        double reach = sure * Reach(part);
        double low = set.Shown.Middle * Math.Exp(-reach), high = set.Shown.Middle * Math.Exp(reach);
        return Math.Clamp(Math.Min(high, set.Truly + 0.5) - Math.Max(low, set.Truly - 0.5), 0, 1);
    }

    /// <summary>Standard deviations to each side that hold a part of a normal distribution.</summary>
    private static double Reach(double part) => MathNet.Numerics.Distributions.Normal.InvCDF(0, 1, 0.5 + (part / 2));

    private static string Drawn(List<(string Name, string Colour, string Dash, double[] Parts)> curves)
    {
        var svg = new StringBuilder();
        svg.AppendLine(CultureInfo.InvariantCulture, $"<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 {Size + 200} {Size}\" font-family=\"sans-serif\" font-size=\"13\">");
        svg.AppendLine(CultureInfo.InvariantCulture, $"<rect width=\"{Size + 200}\" height=\"{Size}\" fill=\"#fff\"/>");
        svg.AppendLine(CultureInfo.InvariantCulture, $"<path d=\"M{X(0)} {Y(0)}L{X(1)} {Y(1)}\" stroke=\"#999\"/>");
        svg.AppendLine(CultureInfo.InvariantCulture, $"<path d=\"M{X(0)} {Y(1)}V{Y(0)}H{X(1)}\" fill=\"none\" stroke=\"#222\"/>");
        for (int i = 0; i <= 10; i += 2)
        {
            svg.AppendLine(CultureInfo.InvariantCulture, $"<text x=\"{X(i / 10.0)}\" y=\"{Y(0) + 18}\" text-anchor=\"middle\">{i * 10}</text><text x=\"{X(0) - 8}\" y=\"{Y(i / 10.0) + 4}\" text-anchor=\"end\">{i * 10}</text>");
        }

        svg.AppendLine(CultureInfo.InvariantCulture, $"<text x=\"{X(0.5)}\" y=\"{Size - 8}\" text-anchor=\"middle\">said to hold, percent</text>");
        svg.AppendLine(CultureInfo.InvariantCulture, $"<text transform=\"translate(14 {Y(0.5)}) rotate(-90)\" text-anchor=\"middle\">held, percent</text>");
        for (int i = 0; i < curves.Count; i++)
        {
            var (name, colour, dash, parts) = curves[i];
            string path = string.Join("L", parts.Select((p, n) => string.Create(CultureInfo.InvariantCulture, $"{X(n == 10 ? 0.99 : n / 10.0):0.#} {Y(p):0.#}")));
            svg.AppendLine(CultureInfo.InvariantCulture, $"<path d=\"M{path}\" fill=\"none\" stroke=\"{colour}\" stroke-width=\"2\" stroke-dasharray=\"{dash}\"/>");
            int y = 60 + (i * 24);
            svg.AppendLine(CultureInfo.InvariantCulture, $"<path d=\"M{Size} {y}h28\" stroke=\"{colour}\" stroke-width=\"2\" stroke-dasharray=\"{dash}\"/><text x=\"{Size + 34}\" y=\"{y + 4}\">{name}</text>");
        }

        return svg.AppendLine("</svg>").ToString();
    }

    private static double X(double part) => Margin + (part * (Size - (2 * Margin)));

    private static double Y(double part) => Size - Margin - (part * (Size - (2 * Margin)));
}
