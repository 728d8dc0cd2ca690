using Ingegno.Core.Anatomy;
using Ingegno.Core.Dosing;
using Ingegno.Core.Effort;
using Ingegno.Core.Exercises;
using Ingegno.Core.Loads;
using Ingegno.Core.Programmes;
using Ingegno.Core.Quantities;
using Ingegno.Core.Safety;

namespace Ingegno.Core.Clients;

/// <summary>
/// The estimated maximum of every exercise for one client: from its own logged set, else carried over along the
/// strength ratios from the lift that makes it least uncertain, else from level, sex and body mass.
/// </summary>
public sealed class StrengthAnchors
{
    /// <summary>Spread of a maximum guessed from level and body mass alone (common practice).</summary>
    private const double GuessSpread = 0.30;

    private readonly Dictionary<string, StrengthAnchor> _anchors = new(StringComparer.Ordinal);

    private StrengthAnchors()
    {
    }

    /// <summary>Null for exercises without a model (plank, bird dog): they are dosed by their own log.</summary>
    public StrengthAnchor? For(Exercise exercise) => _anchors.GetValueOrDefault(exercise.Id);

    /// <summary>True when nothing the client has lifted is known, so every anchor is a guess with a wide range.</summary>
    public bool AllGuessed => _anchors.Values.All(a => a.Basis == AnchorBasis.LevelAndBodyMass);

    /// <summary>A maximum drifts by so much a week it is not tested (common practice).</summary>
    internal const double DriftAWeek = 0.01;

    /// <param name="more">Anchors known from elsewhere, such as a line of the written programme; they win over transfers.</param>
    /// <param name="today">Known lifts age until then; null takes them as new.</param>
    public static StrengthAnchors Of(ClientProfile client, Catalogue catalogue, IEnumerable<StrengthAnchor>? more = null, DateOnly? today = null)
    {
        var anchors = new StrengthAnchors();
        var learned = client.Learned.Anchors.ToDictionary(a => a.Exercise, StringComparer.Ordinal);
        var known = client.Lifts
            .Where(lift => !learned.ContainsKey(lift.Exercise))
            .Select(lift => (lift, exercise: catalogue.Find(lift.Exercise)))
            .Where(p => p.exercise is { Endurance: not EnduranceClass.OwnLogOnly })
            .Select(p => Aged(MaximumEstimate.FromSet(p.exercise!, client, p.lift, new Geometry(), Tempo.Reference), p.lift.On, today))
            .Concat((more ?? []).Where(a => !learned.ContainsKey(a.Exercise)))
            .Concat(learned.Values.Select(a => Gained(a, client, catalogue, today)))
            .ToList();
        anchors.Spread(known, catalogue, client);
        anchors.Spread(
            catalogue.Exercises
                .Where(e => e.Strength is null && e.Endurance != EnduranceClass.OwnLogOnly && !anchors._anchors.ContainsKey(e.Id))
                .Select(e => Guess(e, client)),
            catalogue,
            client);
        anchors.CarryThemselves(client, catalogue);
        anchors.LastAndRecoverAs(client.Learned);
        return anchors;
    }

    /// <summary>
    /// Guessed maxima of pushing and pulling the own body. Who never lifted carries it all the same: new to training a man does about ten
    /// push-ups and a woman about ten on the knees, some years on she does six on the toes (between "fair" and "needs improvement" of the
    /// Canadian norms; from memory), which is more than their guessed bench press would let them. Not over 110 kg, where the body outgrows it.
    /// </summary>
    private void CarryThemselves(ClientProfile client, Catalogue catalogue)
    {
        double more = (client.Sex, client.Level) switch
        {
            (Anatomy.Sex.Male, Level.Beginner) => 1.4,
            (Anatomy.Sex.Male, _) => 1,
            (_, Level.Beginner) => 1.85,
            (_, Level.Intermediate) => 1.37,
            _ => 1.3,
        };
        if (more <= 1 || client.BodyMass > CarefulStart.Heavy)
        {
            return;
        }

        foreach (var anchor in _anchors.Values.Where(a => a is { Basis: AnchorBasis.LevelAndBodyMass, IsTotal: true } && !HouseRules.IsForLegs(catalogue[a.Exercise])).ToArray())
        {
            _anchors[anchor.Exercise] = anchor with { Maximum = anchor.Maximum * more };
        }
    }

    /// <summary>Drift adds to the spread in quadrature: a single of ten years ago no longer beats last week's set.</summary>
    private static StrengthAnchor Aged(StrengthAnchor anchor, DateOnly? on, DateOnly? today) =>
        on is { } day && today > day
            ? anchor with { Spread = double.Hypot(anchor.Spread, DriftAWeek * (today.Value.DayNumber - day.DayNumber) / 7.0) }
            : anchor;

    /// <summary>A learned maximum goes on gaining from the last day that was learned from, for a while.</summary>
    private static StrengthAnchor Gained(StrengthAnchor anchor, ClientProfile client, Catalogue catalogue, DateOnly? today)
    {
        if (client.Learned.Through is not { } through || today is not { } day || day <= through)
        {
            return anchor;
        }

        double weeks = Math.Min(Learned.LongestGain, (day.DayNumber - through.DayNumber) / 7.0);
        return anchor.Stronger(Math.Exp(client.Learned.GainAWeek * weeks), catalogue[anchor.Exercise], client);
    }

    private void LastAndRecoverAs(Learned learned)
    {
        foreach (string id in _anchors.Where(a => a.Value.Basis != AnchorBasis.Learned).Select(a => a.Key).ToArray())
        {
            _anchors[id] = _anchors[id].Of(learned);
        }
    }

    /// <summary>
    /// Least-uncertain path from the known lifts to every exercise (Dijkstra on the variance of the logarithm):
    /// variances add along the links, both ways.
    /// </summary>
    private void Spread(IEnumerable<StrengthAnchor> known, Catalogue catalogue, ClientProfile client)
    {
        var queue = new PriorityQueue<StrengthAnchor, double>();
        foreach (var anchor in known)
        {
            queue.Enqueue(anchor, anchor.Spread);
        }

        while (queue.TryDequeue(out var anchor, out _))
        {
            if (!_anchors.TryAdd(anchor.Exercise, anchor))
            {
                continue;
            }

            var exercise = catalogue[anchor.Exercise];
            if (exercise.Strength is { } up)
            {
                Offer(anchor, catalogue[up.Reference], Up(anchor, up, catalogue[up.Reference]), up.Spread, exercise.Name);
            }

            foreach (var follower in catalogue.Followers(exercise.Id))
            {
                Offer(anchor, follower, Down(anchor, follower.Strength!, exercise), follower.Strength!.Spread, exercise.Name);
            }
        }

        // Where both are totals, the reference's own body share counts on its side.
        Mass Down(StrengthAnchor from, StrengthLink link, Exercise reference) =>
            (from.Maximum + Counted(link, reference, from.IsTotal)) * link.Ratio;

        Mass Up(StrengthAnchor from, StrengthLink link, Exercise reference) =>
            (from.Maximum * (1 / link.Ratio)) - Counted(link, reference, reference.IsInTotal);

        Mass Counted(StrengthLink link, Exercise reference, bool isTotal) =>
            link.Basis == RatioBasis.TotalOverTotal && !isTotal ? Resistance.BodyMoved(reference.Load, client, new Geometry()) * client.BodyMass : Mass.Zero;

        void Offer(StrengthAnchor from, Exercise to, Mass maximum, double linkSpread, string through)
        {
            if (_anchors.ContainsKey(to.Id))
            {
                return;
            }

            double spread = Math.Sqrt((from.Spread * from.Spread) + (linkSpread * linkSpread));
            var basis = from.Basis == AnchorBasis.LevelAndBodyMass ? from.Basis : AnchorBasis.Transferred;
            string story = from.Basis is AnchorBasis.Lifted or AnchorBasis.Learned ? $"carried over from {from.Story}" : from.Story;
            if (from.Basis == AnchorBasis.Transferred && !story.Contains(through, StringComparison.Ordinal))
            {
                story += $", through {through}";
            }

            queue.Enqueue(new StrengthAnchor(to.Id, maximum, to.IsInTotal, spread, basis, story), spread);
        }
    }

    /// <summary>
    /// External maxima over body mass for an intermediate man, and what level and sex make of them (common practice).
    /// </summary>
    private static StrengthAnchor Guess(Exercise root, ClientProfile client)
    {
        bool legs = HouseRules.IsForLegs(root);
        double overBodyMass = legs ? 1.30 : 0.95;
        double level = client.Level switch { Level.Beginner => 0.60, Level.Advanced => 1.35, _ => 1.0 };
        double sex = client.Sex == Sex.Male ? 1.0 : legs ? 0.72 : 0.60;
        return new StrengthAnchor(
            root.Id,
            client.BodyMass * (overBodyMass * level * sex),
            IsTotal: false,
            GuessSpread,
            AnchorBasis.LevelAndBodyMass,
            "no lift known: a guess from level and body mass");
    }
}
