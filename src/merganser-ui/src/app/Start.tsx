import { isEmpty, useRack } from '../api/queries';
import { StartPage } from '../features/start/StartPage';
import { FirstPage } from './pages';

/** The rack; a bench on which no bow was ever entered asks for the first one instead. */
export function Start() {
  const rack = useRack().data;
  return rack && isEmpty(rack) ? <FirstPage /> : <StartPage />;
}
