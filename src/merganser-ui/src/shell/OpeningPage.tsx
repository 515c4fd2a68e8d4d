import { useNavigate } from 'react-router';
import { Drawn } from '../parts/Drawn';
import { Main, Page } from '../parts/Page';
import { Foot } from './Foot';
import { whileOpening } from './opening';
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
      <Main kind="inset">
        <Drawn of={missing ? 'rack' : 'bow'} waits={!missing} />
        {missing && <h1>There is no such bow on this rack.</h1>}
      </Main>
      <Foot
        {...whileOpening(
          'Opening the bow …',
          missing && {
            sentence: 'Go back to the rack and pick a bow.',
            button: 'To the rack',
            onGo: () => void navigate('/'),
          },
        )}
      />
    </Page>
  );
}
