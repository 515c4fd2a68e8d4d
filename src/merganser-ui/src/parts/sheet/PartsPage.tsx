import { Go, Key } from '../Buttons';
import { Columns } from '../Columns';
import { Body, Main, Page } from '../Page';
import { themes, themeWords, wearTheme } from '../theme';
import { WayLink, Ways } from '../Ways';
import { classes } from '../classes';
import { Buttons, Choices, Fields } from './entries';
import { Drawings, Figures, Layers, Lists, Said } from './shown';
import l from '../layout.module.css';
import s from './PartsPage.module.css';

/** Every shared part in each of its states; served by `./merganser dev` alone. */
export default function PartsPage() {
  return (
    <Page>
      <header className={classes(l.row, s.bar)}>
        <h1>The parts</h1>
        {themes.map((name) => (
          <Key key={name} onClick={() => wearTheme(name)}>
            {themeWords[name]}
          </Key>
        ))}
      </header>
      <Main kind="ways">
        <Ways label="Ways: links, and the one that is open">
          <WayLink to="/parts" here>
            The open one
          </WayLink>
          <WayLink to="/parts">Another</WayLink>
        </Ways>
        <Body>
          <Columns bare>
            <Buttons />
            <Fields />
            <Choices />
            <Lists />
            <Said />
            <Figures />
            <Layers />
            <Drawings />
          </Columns>
        </Body>
      </Main>
      <footer className={classes(l.row, s.bar)}>
        <Go>
          Go <kbd>Enter</kbd>
        </Go>
        <Go aria-disabled>Go, busy</Go>
      </footer>
    </Page>
  );
}
