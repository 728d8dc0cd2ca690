using Ingegno.Core.Blocks;
using Ingegno.Core.Clients;
using Ingegno.Core.Dosing;
using Ingegno.Core.Exercises;
using Ingegno.Core.Substitution;
using Ingegno.Formats.CaseFiles;
using Ingegno.Formats.ProgrammeText;

namespace Ingegno.Server.Tests;

/// <summary>Programmes for clients who bring none: read by the same reader and filled by the same choice as a written one.</summary>
public sealed class TemplateTests
{
    private static readonly DateOnly Today = new(2026, 11, 25);

    public static TheoryData<string> Members => [.. Demo().Select(f => f.Client.Name)];

    private static IEnumerable<CaseFile> Demo()
    {
        var assembly = typeof(Program).Assembly;
        foreach (string name in assembly.GetManifestResourceNames().Where(n => n.StartsWith("demo/", StringComparison.Ordinal)).Order())
        {
            using var stream = assembly.GetManifestResourceStream(name)!;
            yield return CaseFile.Parse(stream);
        }
    }

    [Theory]
    [MemberData(nameof(Members))]
    public void Every_template_offered_is_read_whole_and_filled_with_what_is_here(string name)
    {
        var file = Demo().Single(f => f.Client.Name == name);
        foreach (var template in Templates.For(file.Client))
        {
            var read = ProgrammeReader.Read(template.TextFor(file.Client, Catalogue.Shipped), Catalogue.Shipped, MassUnit.Kilogram);
            read.Problems.ShouldBeEmpty(template.Id);
            read.Programme.Sessions.Select(s => s.Title).ShouldBe(template.Sessions.Select(s => s.Title));
            var rebuild = new SessionRebuild(file.Client, file.Home, Catalogue.Shipped, HouseRules.Default, Today, read.Programme);
            foreach (var session in read.Programme.Sessions.Select(s => rebuild.Rebuild(s, [])))
            {
                session.Lines.ShouldAllBe(l => l.Outcome != LineOutcome.Unknown);
                session.Lines.ShouldAllBe(l => l.Chosen == null || !Catalogue.Shipped[l.Chosen.Prescription.Exercise].IsSlot, "a slot itself is never done");
            }
        }
    }
}
