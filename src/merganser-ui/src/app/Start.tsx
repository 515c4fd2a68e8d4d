import { lazy } from 'react';
import { useRack } from '../api/queries';
import { StartPage } from '../features/start/StartPage';

const FirstPage = lazy(() => import('../features/first/FirstPage'));

/** The rack; a bench on which no bow was ever entered asks for the first one instead. */
export function Start() {
  const rack = useRack().data;
  const empty = rack?.bows.length === 0 && rack.archived.length === 0 && rack.unreadable.length === 0;
  return empty ? <FirstPage /> : <StartPage />;
}
