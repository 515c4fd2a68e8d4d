using Merganser.Core.Ballistics;
using Merganser.Core.Units;
using Merganser.Data;
using static Merganser.Web.Demo.DemoIds;

namespace Merganser.Web.Demo;

/// <summary>The hunter's sight marks, proven on the club's range: a near one, a middle and a far one.</summary>
public sealed class DemoFlight(FlightStore flights)
{
    public void Fill()
    {
        Mark(20, "1.10");
        Mark(40, "1.57");
        Mark(60, "2.11");
    }

    private void Mark(double yards, string inches) =>
        flights.Prove(
            new NewProven(
                $"acacacac-0000-4000-8000-{yards:000000000000}",
                Tidewrack,
                Version(7),
                ProvenKind.Mark,
                Entry.Parse($"{yards}", Quantity.Distance),
                Entry.Parse(inches, Quantity.Length)
            )
        );
}
