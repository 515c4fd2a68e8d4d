using Xunit.Abstractions;
using Xunit.Sdk;

[assembly: TestFramework("Merganser.Browser.Tests.OneRun", "Browser.Tests")]

namespace Merganser.Browser.Tests;

/// <summary>
/// A run of these tests: at its end the browsers and the filled demo that the tests shared are gone. What waits for the
/// process to end comes too late, as the runner gives it a tenth of a second.
/// </summary>
public sealed class OneRun(IMessageSink messages) : XunitTestFramework(messages), IDisposable
{
    public new void Dispose()
    {
        Screen.End();
        base.Dispose();
    }
}
