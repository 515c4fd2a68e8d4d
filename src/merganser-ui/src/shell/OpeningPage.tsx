import { useNavigate } from 'react-router';
import { Main, Page } from '../parts/Page';
import { Foot } from './Foot';
import { ShellHead, type StopName } from './ShellHead';

interface Props {
  at: StopName;
  bowId: string | undefined;
  title: string;
  missing: boolean;
}

/** A bow's page while the bow is read, or when there is none. */
export function OpeningPage({ at, bowId, title, missing }: Props) {
  const navigate = useNavigate();
  return (
    <Page>
      <ShellHead at={at} bowId={bowId} title={title} />
      <Main kind="inset">{missing && <h1>There is no such bow on this rack.</h1>}</Main>
      <Foot
        sentence={missing ? 'Go back to the rack and pick a bow.' : 'Opening the bow …'}
        reason=""
        button={missing ? 'To the rack' : 'Wait'}
        busy={!missing}
        onGo={() => void navigate('/')}
      />
    </Page>
  );
}
