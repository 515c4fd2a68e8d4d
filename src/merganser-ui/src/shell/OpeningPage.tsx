import { useNavigate } from 'react-router';
import { Drawn } from '../parts/Drawn';
import { Main, Page } from '../parts/Page';
import { Foot } from './Foot';
import { OpeningFoot } from './OpeningFoot';
import { isStop, ShellHead, type StopName } from './ShellHead';

interface Props {
  at: StopName;
  bowId: string | undefined;
  title: string;
  /** What could not be read. */
  failed: (Error | null | undefined)[];
}

/** A bow's page while the bow is read. */
export function OpeningPage({ at, bowId, title, failed }: Props) {
  const navigate = useNavigate();
  return (
    <Page>
      <ShellHead at={at} bowId={bowId} title={title} />
      <Main kind="inset">
        <Drawn of="bow" waits />
      </Main>
      <OpeningFoot
        opening="Opening the bow …"
        what="The bow"
        failed={failed}
        back={{ to: 'To the rack', go: () => void navigate('/') }}
      />
    </Page>
  );
}

/** Any page of a bow that there is not. */
export function NoSuchBow({ bowId, stop }: { bowId: string | undefined; stop: string | undefined }) {
  const navigate = useNavigate();
  return (
    <Page>
      <ShellHead at={isStop(stop) ? stop : null} bowId={bowId} title="No such bow" />
      <Main kind="inset">
        <Drawn of="rack" />
        <h1>There is no such bow on this rack.</h1>
      </Main>
      <Foot
        sentence="Go back to the rack and pick a bow."
        reason=""
        button="To the rack"
        onGo={() => void navigate('/')}
      />
    </Page>
  );
}
