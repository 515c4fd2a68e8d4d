namespace Merganser.Browser.Tests;

/// <summary>The walk by keyboard would see what is wrong.</summary>
public class KeyboardTests
{
    [Fact]
    public void Finds_what_shows_no_focus_what_is_never_reached_and_what_is_out_of_sight()
    {
        using var screen = new Screen(demo: false);
        screen.Go("/");
        screen.See("[data-testid=steps]");
        Keyboard.Found(screen).ShouldBeEmpty();
        screen.Driver.ExecuteScript(
            """
            const add = (words, change) => {
              const button = document.createElement('button');
              button.textContent = words;
              change(button);
              document.querySelector('main').append(button);
            };
            add('unseen', (b) => (b.style.outline = 'none'));
            add('away', (b) => Object.assign(b.style, { position: 'fixed', left: '-400px' }));
            add('never', (b) => (b.inert = true));
            """
        );
        var found = Keyboard.Found(screen);
        found.ShouldContain("no sign of the focus: button \"unseen\"");
        found.ShouldContain("out of sight: button \"away\"");
        found.ShouldContain("not reached: button \"never\"");
        found.Count.ShouldBe(3);
    }
}
