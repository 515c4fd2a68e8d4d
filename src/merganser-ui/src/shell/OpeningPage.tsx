import { useNavigate } from 'react-router';
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
    <div className="page">
      <ShellHead at={at} bowId={bowId} title={title} />
      <main className="thing inset">{missing && <h1>There is no such bow on this rack.</h1>}</main>
      <Foot
        sentence={missing ? 'Go back to the rack and pick a bow.' : 'Opening the bow …'}
        reason=""
        button="To the rack"
        onGo={() => void navigate('/')}
      />
    </div>
  );
}
