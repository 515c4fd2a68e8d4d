namespace Merganser.Instruments;

/// <summary>
/// A spine tester: a shaft lies on it, its middle gives under the weight, and the pointer trembles. Each shaft has a
/// truth of its own near what is said of it.
/// </summary>
public sealed class SimulatedSpineTester(int seed = 13) : SimulatedInstrument
{
    private const double ShaftToShaft = 0.02;
    private const double Tremble = 0.002;

    private readonly Lock gate = new();
    private readonly Random random = new(seed);
    private double truth;
    private double shown;
    private long sequence;

    protected override string? Next()
    {
        lock (gate)
        {
            shown += (truth - shown) * 0.5;
            var value = shown + (Tremble * (random.NextDouble() - 0.5));
            var stable = truth > 0 && Math.Abs(truth - shown) < 0.002;
            return new InstrumentLine(InstrumentKind.Spine, Math.Round(value, 3), stable, ++sequence).Write();
        }
    }

    /// <summary>For the simulation: <c>put N</c>, N the nominal deflection in inches, and <c>lift</c>.</summary>
    protected override void Order(string word, double? number)
    {
        lock (gate)
        {
            truth = word switch
            {
                "put" when number is > 0 and < 3 => number.Value
                    * (1 + (ShaftToShaft * ((2 * random.NextDouble()) - 1))),
                "lift" => 0,
                _ => truth,
            };
        }
    }
}

/// <summary>A dial over a shaft that is turned on two supports: it reads its run-out at one place.</summary>
public sealed class SimulatedDial(int seed = 17) : SimulatedInstrument
{
    private const double Usual = 0.0025;
    private const double Reading = 0.0002;

    private readonly Lock gate = new();
    private readonly Random random = new(seed);
    private double? truth;
    private int beats;
    private long sequence;

    protected override string? Next()
    {
        lock (gate)
        {
            if (truth is not { } runOut)
            {
                return new InstrumentLine(InstrumentKind.Dial, 0, false, ++sequence).Write();
            }

            // The needle swings for a turn, then its widest swing stands.
            var still = ++beats > 6;
            var value = still ? runOut : runOut * random.NextDouble();
            return new InstrumentLine(
                InstrumentKind.Dial,
                Math.Max(0, Math.Round(value, 4)),
                still,
                ++sequence
            ).Write();
        }
    }

    /// <summary>For the simulation: <c>put</c> lays the next place under the dial, <c>lift</c> takes the shaft off.
    /// </summary>
    protected override void Order(string word, double? number)
    {
        lock (gate)
        {
            beats = 0;
            truth = word switch
            {
                "put" => (-Usual * Math.Log(1 - random.NextDouble())) + (Reading * (random.NextDouble() - 0.5)),
                "lift" => null,
                _ => truth,
            };
        }
    }
}

/// <summary>
/// A draw board: a crank, a scale on the string and a rule along its travel. The bow on it has a peak, a stroke and a
/// let-off of its own near what is said of it; scale and rule have errors.
/// </summary>
public sealed class SimulatedDrawBoard(int seed = 19) : SimulatedInstrument
{
    private const double ForceError = 0.15;
    private const double TravelError = 0.01;
    private const double Hidden = 0.02;

    private readonly Lock gate = new();
    private readonly Random random = new(seed);
    private double peak = 60;
    private double stroke = 22;
    private double letOff = 80;
    private double truePeak = 60.4;
    private double trueLetOff = 79;
    private double travel;
    private double shown;
    private long sequence;

    protected override string? Next()
    {
        lock (gate)
        {
            shown += (travel - shown) * 0.5;
            var still = Math.Abs(travel - shown) < 0.02;
            var force = shown < 0.05 ? 0 : ForceAt(shown) + (ForceError * ((2 * random.NextDouble()) - 1));
            var read = Math.Max(0, shown + (TravelError * ((2 * random.NextDouble()) - 1)));
            return new InstrumentLine(
                InstrumentKind.Board,
                Math.Round(force, 1),
                still,
                ++sequence,
                Math.Round(read, 2)
            ).Write();
        }
    }

    /// <summary>
    /// For the simulation: <c>crank N</c> draws N inches farther (below 0 lets down), <c>lift</c> lets it down to rest;
    /// <c>peak N</c>, <c>stroke N</c> and <c>letoff N</c> say what bow is on it.
    /// </summary>
    protected override void Order(string word, double? number)
    {
        lock (gate)
        {
            switch (word)
            {
                case "crank" when number is { } inches:
                    travel = Math.Clamp(travel + inches, 0, stroke);
                    break;
                case "lift":
                    travel = 0;
                    break;
                case "peak" when number is > 5 and < 110 && number != peak:
                    peak = number.Value;
                    truePeak = peak * Near();
                    break;
                case "stroke" when number is > 8 and < 30:
                    stroke = number.Value;
                    break;
                case "letoff" when number is >= 0 and < 95 && number != letOff:
                    letOff = number.Value;
                    trueLetOff = letOff * Near();
                    break;
            }
        }
    }

    private double Near() => 1 + (Hidden * ((2 * random.NextDouble()) - 1));

    /// <summary>A compound rises, stands and falls into its valley; without a let-off the force only grows.</summary>
    private double ForceAt(double at)
    {
        var x = Math.Min(1, at / stroke);
        if (trueLetOff < 5)
        {
            return truePeak * ((0.55 * x) + (0.45 * Math.Sqrt(x)));
        }

        const double risen = 0.28;
        const double falls = 0.72;
        var valley = truePeak * (1 - (trueLetOff / 100));
        return x < risen ? truePeak * Math.Sin(Math.PI / 2 * x / risen)
            : x < falls ? truePeak
            : valley + ((truePeak - valley) * (1 + Math.Cos(Math.PI * (x - falls) / (1 - falls))) / 2);
    }
}
