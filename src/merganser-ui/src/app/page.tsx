import { useEffect, useState, type ComponentType } from 'react';
import { useParams } from 'react-router';
import { Drawn } from '../parts/Drawn';
import { Main, Page as Blank } from '../parts/Page';
import { Foot } from '../shell/Foot';
import { ShellHead } from '../shell/ShellHead';

/** A page whose files come when it is opened, or before. */
type Page<P> = ComponentType<P> & {
  /** Fetches its files: opened after that it is drawn at once, without a blank page before it. */
  fetched: () => Promise<void>;
};

/** A page by where its files are. */
export function page<P extends object>(load: () => Promise<{ default: ComponentType<P> }>): Page<P> {
  let here: ComponentType<P> | null = null;
  const fetched = async () => {
    here = (await load()).default;
  };
  function Opened(props: P) {
    const [Shown, setShown] = useState(() => here);
    const [failed, setFailed] = useState(false);
    useEffect(() => {
      if (Shown) return;
      let left = false;
      const then = (act: () => void) => () => left || act();
      void fetched().then(
        then(() => setShown(() => here)),
        then(() => setFailed(true)),
      );
      return () => {
        left = true;
      };
    }, [Shown]);
    if (Shown) return <Shown {...props} />;
    return failed ? <NotFetched /> : <Blank />;
  }
  return Object.assign(Opened, { fetched });
}

/** The server is away, or it has been renewed since this page was loaded and has these files no more. */
function NotFetched() {
  const bowId = useParams().bowId;
  return (
    <Blank>
      <ShellHead at={null} bowId={bowId} title="Not loaded" />
      <Main kind="inset">
        <Drawn of={bowId ? 'bow' : 'rack'} />
        <h1>This page could not be loaded.</h1>
      </Main>
      <Foot
        trouble
        sentence="Load it anew once the server answers."
        reason="What was entered is kept. The server is away, or it was renewed since the bench was opened here."
        button="Load it anew"
        onGo={() => window.location.reload()}
      />
    </Blank>
  );
}
