namespace Merganser.Web.Tests;

/// <summary>What stands in made requests: what hands enter, and what hands, scripts and programs get wrong.</summary>
internal static class RequestValues
{
    public static readonly string[] Texts =
    [
        "28 1/2",
        "28.5",
        "28,5 cm",
        "409",
        "100 gr",
        "62 lb",
        "1",
        "0",
        "-3",
        "\u22123",
        "\u0663",
        "\u0662\u0668.\u0665",
        "12/0",
        "NaN",
        "Infinity",
        "1e400",
        "99999999999999999999",
        "",
        " ",
        "abc",
        "\0",
        "a\u0007b\u001b[31m",
        "=1+1",
        "@SUM(A1)",
        "../../etc/passwd",
        "<b>bold</b>",
        "\ud83c\udff9",
        "\ud800",
        "o'clock; DROP TABLE bow",
        new string('x', 700),
    ];

    public static readonly double[] Numbers =
    [
        0,
        1,
        -1,
        2,
        3,
        6,
        12,
        0.25,
        1.5,
        18,
        20,
        400,
        -0.0,
        1e9,
        -1e9,
        1e308,
        -1e308,
    ];
    public static readonly long[] Wholes = [0, 1, 2, 3, 6, 12, 100, -1, 7, int.MaxValue, int.MinValue, long.MaxValue];
    public static readonly string[] Queries =
    [
        "1",
        "0",
        "-1",
        "20",
        "NaN",
        "Infinity",
        "1e400",
        "1e308",
        "-1e308",
        "abc",
        "\u0663",
        "",
        "shaft",
        "Compound",
    ];

    /// <summary>What a hand would enter, by the name of the field.</summary>
    public static readonly Dictionary<string, string> Usual = new()
    {
        ["name"] = "Own",
        ["kind"] = "piece",
        ["nominalWeight"] = "60",
        ["measuredWeight"] = "61.5",
        ["drawLength"] = "28 1/2",
        ["axleToAxle"] = "33",
        ["braceHeight"] = "6 1/2",
        ["cutLength"] = "28 1/2",
        ["distance"] = "3",
        ["value"] = "100.2",
        ["second"] = "100",
        ["grains"] = "409",
        ["speed"] = "279",
        ["right"] = "0.3",
        ["up"] = "-0.1",
        ["class"] = "Point",
        ["word"] = "typed",
        ["reason"] = "torqued grip",
        ["text"] = "100.1\n100.4\n99.8",
        ["sideways"] = "half",
        ["height"] = "quarter",
        ["purpose"] = "field",
        ["outcome"] = "nothing",
        ["source"] = "typed",
        ["order"] = "tare",
        ["format"] = "merganser-catalogue-1",
        ["cams"] = "twinYoke",
        ["front"] = "0.8",
        ["rear"] = "0.9",
        ["nockToRest"] = "22",
        ["between"] = "3",
        ["degrees"] = "1",
        ["zero"] = "20",
        ["slope"] = "30",
    };

    /// <summary>Fields whose text is empty as often as not.</summary>
    public static readonly string[] Blank = ["note", "ratedSpeed", "glue", "vaneFront", "factorSet", "restAhead"];
}
