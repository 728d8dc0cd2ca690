using Ingegno.Core.Clients;
using Ingegno.Core.Effort;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Schools;

namespace Ingegno.Core.Dosing;

/// <summary>
/// Finds the home dose that asks what the gym line asked: the load nearest in equivalent demand first, then of all styles, rests,
/// forms, sets and counts on it the one that scores least (<see cref="MeasurePrice"/>). Exact: what it leaves out cannot score less.
/// </summary>
public static class DoseSearch
{
    /// <summary>Power is trained with so many repetitions a set at most, and no more are given of a clean or a snatch where none were written (Haff and Triplett; from memory).</summary>
    internal const int MostForPower = 5;

    /// <summary>The best dose, or null when not one repetition is possible or the ladder is empty.</summary>
    /// <param name="styles">Of this exercise, client and rules, where they are at hand; null works them out.</param>
    public static Dose? Find(
        Intent intent, ExerciseEffort effort, LoadLadder ladder, HouseRules rules, ClientProfile client, DoseWish wish, StyleSpace? styles = null)
    {
        if (RungFor(intent, effort, ladder, rules, wish) is not { } rung)
        {
            return null;
        }

        styles ??= new StyleSpace(effort.Exercise, rules, TechniqueLimits.Of(effort.Exercise, client, rules));
        var found = FindOn(rung, intent, effort, rules, client, wish, styles);

        // The nearest load is no load where too little of the count is left on it: then the next below.
        for (int at = ladder.Rungs.IndexOf(rung); at > 0 && wish == DoseWish.None && found is not null && rules.Zones.IsUnderFloor(intent, found); at--)
        {
            found = FindOn(ladder.Rungs[at - 1], intent, effort, rules, client, wish, styles) ?? found;
        }

        return found;
    }

    private static Dose? FindOn(Rung rung, Intent intent, ExerciseEffort effort, HouseRules rules, ClientProfile client, DoseWish wish, StyleSpace styles)
    {
        if (!IsGiven(intent, effort, rung, wish))
        {
            return null;
        }

        var line = On(rung, intent, effort, rules, client);
        if (wish.Counts is { } counts)
        {
            // What stands in a plan is told as it stands, past today's limits too.
            var standing = new SetPlan(counts, rung.Load, new(wish.Tempo ?? Tempo.Reference, wish.Partial ?? PartialPart.None, wish.Pulses ?? 0), wish.Rest ?? intent.Rest, intent.Partners)
            {
                Form = wish.Form ?? SetForm.Straight,
            };
            return DoseDescription.Of(
                line.Scored(standing, 0), line, new DoseSpace(intent, effort.Exercise, line.Equivalent, rules, styles, wish), intent, effort, rules, wish);
        }

        wish = styles.Limits.Within(wish);
        var space = new DoseSpace(intent, effort.Exercise, line.Equivalent, rules, styles, wish);
        (ScoredPlan Plan, LineDose Line, MeasureStep Step)? found = null;
        foreach (var step in MeasureStair.For(intent, line.Equivalent, rules, space))
        {
            var within = On(rung, intent, effort, rules, client, step.Cap);
            var tried = step;
            if (Best(within, space, intent, wish, tried) is not { } best)
            {
                // No technique is to be had: then the counts have to do without.
                tried = step with { Fewest = 0 };
                if (step.Fewest == 0 || Best(within, space, intent, wish, tried) is not { } plain)
                {
                    break;
                }

                best = plain;
            }

            // Between two loads a measure that was not worth its price is worth it before the zone is left.
            if (effort.Exercise.NeedsLoad && step is { Fewest: 0, Techniques: > 0 } && !within.IsMet(best.Plan) && Best(within, space, intent, wish, step with { Fewest = 1 }) is { } slower && within.IsMet(slower.Plan))
            {
                (best, tried) = (slower, step with { Fewest = 1 });
            }

            found = (best, within, tried);
            if (wish.Repetitions is not null || within.IsMet(best.Plan))
            {
                break;
            }
        }

        return found is { } taken ? DoseDescription.Of(taken.Plan, taken.Line, space, intent, effort, rules, wish) with { Step = taken.Step } : null;
    }

    /// <summary>
    /// The most of the intent a dose could reach here, without searching for it: the equivalent demand of the rung that would be
    /// taken, and the most effective repetitions any dose on it could give. Null where there is no dose.
    /// </summary>
    public static DoseBound? Bound(Intent intent, ExerciseEffort effort, LoadLadder ladder, HouseRules rules, ClientProfile client)
    {
        if (RungFor(intent, effort, ladder, rules, DoseWish.None) is not { } rung || !IsGiven(intent, effort, rung, DoseWish.None))
        {
            return null;
        }

        var line = On(rung, intent, effort, rules, client);
        double most = SetForecast.Credit(line.Equivalent) * line.MostEffective(intent.Repetitions.Length + rules.MostAddedSets);
        return new(rung, line.Equivalent, most);
    }

    /// <summary>A line on one rung with what every set must leave.</summary>
    /// <param name="cap">Most repetitions a set is given; null for the most of the house rules.</param>
    public static LineDose On(Rung rung, Intent intent, ExerciseEffort effort, HouseRules rules, ClientProfile client, int? cap = null)
    {
        double least = client.Level == Level.Beginner ? rules.BeginnerReserve
            : rules.Teaches(Teaching.ToFailure) && TechniqueLimits.IsRisky(effort.Exercise) ? 1
            : 0;
        int most = cap ?? MeasureStair.MostOf(intent, rules);
        // A lift thrown while tired is another lift.
        return new LineDose(intent, effort, rung, effort.Exercise.IsOlympicLift ? Math.Min(most, Math.Max(intent.Repetitions.Max(), MostForPower)) : most, least)
        {
            RepeatsWith = rules.Teaches(Teaching.RestShort) ? 0 : 1,
        };
    }

    /// <summary>Never over what may be lifted or lowered, under what is no resistance, or over the cap of its purpose.</summary>
    private static bool IsGiven(Intent intent, ExerciseEffort effort, Rung rung, DoseWish wish)
    {
        var demand = effort.DemandOf(rung.Load);
        return demand >= RepetitionCost.LeastDemand && demand <= effort.MostDemand
            && (intent.Cap is not { } cap || wish.Load is not null || effort.EquivalentOf(demand) <= cap);
    }

    /// <summary>Nearest in equivalent demand, at most the house rule's step above; the lightest where all are heavier.</summary>
    public static Rung? RungFor(Intent intent, ExerciseEffort effort, LoadLadder ladder, HouseRules rules, DoseWish wish)
    {
        if (wish.Load is { } fixedLoad)
        {
            return RungChoice.Nearest(ladder, fixedLoad);
        }

        var wanted = effort.LoadFor(effort.DemandForEquivalent(intent.Equivalent));
        int above = FirstOver(ladder, wanted);
        if (above == 0 || above == ladder.Rungs.Length)
        {
            return above == 0 ? ladder.Rungs.FirstOrDefault() : ladder.Rungs[^1];
        }

        var (lighter, heavier) = (ladder.Rungs[above - 1], ladder.Rungs[above]);
        double over = EquivalentOf(heavier) - intent.Equivalent.Value;
        return intent.Cap is null && over <= rules.MostAboveIntent && over < intent.Equivalent.Value - EquivalentOf(lighter) ? heavier : lighter;

        double EquivalentOf(Rung rung) => effort.EquivalentOf(effort.DemandOf(rung.Load)).Value;
    }

    /// <summary>Place of the first rung heavier than this; the ladder's length where none is.</summary>
    private static int FirstOver(LoadLadder ladder, Mass wanted)
    {
        int low = 0, high = ladder.Rungs.Length;
        while (low < high)
        {
            int middle = (low + high) / 2;
            (low, high) = ladder.Rungs[middle].Load > wanted ? (low, middle) : (middle + 1, high);
        }

        return low;
    }

    private static ScoredPlan? Best(LineDose line, DoseSpace space, Intent intent, DoseWish wish, MeasureStep step)
    {
        int written = intent.Repetitions.Length;
        ScoredPlan? best = null;
        foreach (int sets in space.Sets)
        {
            double setsPrice = (sets - space.Sets[0]) * MeasurePrice.AddedSet;
            double open = Math.Max(0, line.Asked - line.MostEffective(sets));
            foreach (var form in step.Beyond ? space.Forms : [space.Forms[0]])
            {
                double formPrice = form == space.Forms[0] ? 0 : MeasurePrice.OfForm(form) * written;
                for (int cut = 0; cut < (step.Beyond ? space.Rests.Length : 1); cut++)
                {
                    double price = setsPrice + formPrice + (MeasurePrice.OfRest(cut) * written);
                    if (best is null || open + price < best.Score)
                    {
                        best = BestStyle(line, space, new(space.Start, space.Rests[cut], form, sets), price, open, written, wish, best, step);
                    }
                }
            }
        }

        return best;
    }

    /// <summary>
    /// Styles come cheapest first, so the search ends where even a gap closed whole would not pay. A style that leaves every set
    /// at the cap far from its end shows that no cheaper repetition can do better.
    /// </summary>
    private static ScoredPlan? BestStyle(
        LineDose line, DoseSpace space, DoseMake make, double price, double open, int written, DoseWish wish, ScoredPlan? best, MeasureStep step)
    {
        int forms = make.Form == space.Forms[0] ? 0 : MeasurePrice.Techniques(make.Form);
        var styles = step.Techniques > 0 && (best is null || open + price + (MeasurePrice.Technique * written) < best.Score) ? space.StylesBeyondStart() : [];
        foreach (var style in styles.Prepend(space.Start))
        {
            double stylePrice = MeasurePrice.OfStyle(space.Start, style) * written;
            if (best is not null && open + price + stylePrice >= best.Score)
            {
                break;
            }

            int taken = MeasurePrice.Techniques(space.Start, style) + forms;
            if (taken < step.Fewest || (step.Plain && !MeasurePrice.IsPlain(space.Start, style)))
            {
                continue;
            }

            if (style != space.Start && taken > Math.Min(step.Techniques, space.MostTechniques))
            {
                continue;
            }

            var made = make with { Style = style };
            var found = wish.Repetitions is { } count
                ? line.ByHand(made, count, price + stylePrice)
                : line.Best(made, price + stylePrice);
            if (found is not null && (best is null || found.Score < best.Score - 1e-9))
            {
                best = found;
            }
        }

        return best;
    }
}

/// <summary>The most a dose could reach, known before it is searched for.</summary>
/// <param name="Rung">That would be taken.</param>
/// <param name="Effective">No dose gives more effective repetitions.</param>
public sealed record DoseBound(Rung Rung, Demand Equivalent, double Effective);
