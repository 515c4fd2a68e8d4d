using System.Text.RegularExpressions;

namespace Merganser.Tests;

/// <summary>
/// How a sentence betrays the units it was said in; compiled into the tests of Core and of the browser.
/// </summary>
internal static partial class UnitWords
{
    /// <summary>A figure in a unit of the trade, the unit's name, or the unit alone as the head of a column.</summary>
    [GeneratedRegex(
        @"(^|\t)(in|gr|lb|ft/s|ft·lb|yd|gr/lb|gr/in)(\t|$)|\d\s?(in|gr|lb|ft/s|ft·lb|slug·ft/s|yd)(?![\w/·])|\d\s?gr/(lb|in)|\b(inch|inches|yards?|pounds?|grains?)\b"
    )]
    public static partial Regex Trade();

    /// <summary>A figure in a metric unit.</summary>
    [GeneratedRegex(@"\d\s?(cm|mm|g|kg|N|m/s|J|kg·m/s|m)(?![\w/·])")]
    public static partial Regex Metric();

    /// <summary>A minus before a side that is named: the side is the sign.</summary>
    [GeneratedRegex(@"[−-]\d[\d./ ]*(in|cm)?,? (to the )?(right|left|high|low|up|down)\b")]
    public static partial Regex MinusBeforeASide();
}
