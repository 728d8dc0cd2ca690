using Ingegno.Core.Blocks;
using Ingegno.Core.Plans;
using Ingegno.Core.Programmes;
using Ingegno.Core.Progression;
using Ingegno.Core.Substitution;
using Ingegno.Server.Clients;
using Ingegno.Server.Log;
using Ingegno.Storage;

namespace Ingegno.Server.Bench;

/// <summary>Lays the weeks of a block out from what is in force, what is drafted over it and what the log says.</summary>
internal sealed class BlockAhead(Storage.Plans plans, Trainings trainings, RebuildsAtHand rebuilds)
{
    /// <summary>As saved; no weeks where the plan has no block.</summary>
    internal async Task<BlockView> AsSavedAsync(string coach, Case about, Versioned<Plan> plan, DateOnly today) =>
        plan.Value.Block is { } block
            ? await WithAsync(coach, about, plan, new(plan.Value.Text, plan.Value.Choices, block), block, today)
            : new([], []);

    internal async Task<BlockView> WithAsync(string coach, Case about, Versioned<Plan> plan, BenchDraft draft, Block block, DateOnly today, CancellationToken stop = default)
    {
        var changes = await plans.ChangesAsync(coach, about.Client.Id);
        var waiting = PlanProgress.For(about.Profile, about.Home, about.Rules, plan.Value, await trainings.OfClientAsync(coach, about.Client.Id, today, about.Rules.Catalogue), today)
            .Where(l => l.Step is { Next: not null, IsTheSameAgain: false }).ToLookup(l => l.Line, l => l.Step!);
        return rebuilds.With(draft, plan, about, today, at =>
        {
            var sessions = at.Sessions(about.Place.Id, stop);
            var weeks = BlockCalendar.Of(block, about.Profile, sessions.Length);
            return new BlockView(weeks, BlockTargets.Of(
                sessions, block, weeks, about.Profile, new PreparedHome(about.Home, today), about.Rules.Catalogue, at.Rebuild.Anchors, about.Rules,
                new SoFar(
                    today,
                    number => at.Edit.LineOf(number) is { } line ? waiting[line].FirstOrDefault() : null,
                    (number, day) => at.Edit.LineOf(number) is { } line ? AskedOn(line, day) : null)));
        });

        Prescription? AskedOn(int line, DateOnly day) =>
            plan.Value.AskedOn(changes, day).Where(a => a.Place == about.Place.Id && a.Line == line).Select(a => a.Prescription).FirstOrDefault();
    }
}
