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

    /// <summary>The retired beginner of the demo brought no programme: hers is the template, word for word.</summary>
    [Fact]
    public void The_retired_beginner_trains_by_a_template()
    {
        var gerda = Demo().Single(f => f.Client.Name == "Gerda Halvorsen");
        gerda.Programme.ReplaceLineEndings("\n").ShouldBe(Templates.Find("full-body-2")!.TextFor(gerda.Client, Catalogue.Shipped));
    }

    [Fact]
    public void Hard_templates_are_not_offered_to_a_beginner() =>
        Templates.For(Demo().Single(f => f.Client.Name == "Gerda Halvorsen").Client).Select(t => t.Id)
            .ShouldBe(["full-body-2", "full-body-3", "every-second-day", "long-set-of-20", "milestones"]);

    /// <summary>By hand: 200 repetitions at 3 s, nine rests of 60 s and ten of 30 s come to 24 minutes before changes and the last line.</summary>
    [Fact]
    public void Ten_by_ten_tells_its_minutes()
    {
        var joost = Demo().Single(f => f.Client.Name == "Joost Aalders");
        var read = ProgrammeReader.Read(Templates.Find("ten-by-ten")!.TextFor(joost.Client, Catalogue.Shipped), Catalogue.Shipped, MassUnit.Kilogram);
        var rebuild = new SessionRebuild(joost.Client, joost.Home, Catalogue.Shipped, HouseRules.Default, Today, read.Programme);
        rebuild.Rebuild(read.Programme.Sessions[0], []).Length.Minutes.ShouldBeGreaterThan(24);
    }
}
