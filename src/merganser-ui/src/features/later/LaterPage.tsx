import { useNavigate, useParams } from 'react-router';
import { ShellHead, type StopName } from '../../shell/ShellHead';
import { Foot } from '../../shell/Foot';
import { UnsoundFoot } from '../../shell/UnsoundFoot';
import { useBow } from '../../api/queries';
import { Empty } from '../../parts/Empty';
import { Main, Page } from '../../parts/Page';
import w from '../../parts/words.module.css';

const holds: Partial<Record<StopName, { title: string; text: string }>> = {
  story: { title: 'The story', text: 'What was changed on this bow, when, why, and what it did. It is not built yet.' },
};

/** A stop that is still to come says so. */
export default function LaterPage() {
  const { bowId, stop } = useParams();
  const navigate = useNavigate();
  const unsound = useBow(bowId).data?.unsound;
  const at = (stop ?? 'story') as StopName;
  const words = holds[at] ?? { title: 'Nothing here', text: 'There is no such stop on the rule.' };
  return (
    <Page>
      <ShellHead at={at} bowId={bowId} />
      <Main kind="inset">
        <Empty title={words.title}>
          <span className={w.muted}>{words.text}</span>
        </Empty>
      </Main>
      {unsound ? (
        <UnsoundFoot bowId={bowId!} why={unsound} />
      ) : (
        <Foot
          sentence="This stop is still empty: go on with the paper."
          reason="Bow, arrow and paper are ready for work."
          button="To the paper"
          onGo={() => void navigate(`/bows/${bowId}/paper`)}
        />
      )}
    </Page>
  );
}
