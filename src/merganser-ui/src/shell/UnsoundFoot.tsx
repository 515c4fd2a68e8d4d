import { useNavigate } from 'react-router';
import { Foot } from './Foot';

/** What is next of a bow that may not be shot, whichever stop it is at. */
export function UnsoundFoot({ bowId, why }: { bowId: string; why: string }) {
  const navigate = useNavigate();
  return (
    <Foot
      sentence="Do not shoot this bow until it is repaired."
      reason={why}
      button="To the inspection"
      onGo={() => void navigate(`/bows/${bowId}/bow?check=inspection`)}
    />
  );
}
