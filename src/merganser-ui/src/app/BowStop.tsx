import { useSearchParams } from 'react-router';
import type { BowWay } from '../shell/BowWays';
import SetupPage from '../features/setup/SetupPage';
import { WrongPage } from '../features/setup/WrongPage';
import { BowPage } from './pages';

const ways: BowWay[] = ['sheet', 'history', 'string', 'sights', 'crawls', 'speed', 'board', 'card'];

/** The Bow stop: its work order, or the record of the bow and its archer. */
export default function BowStop() {
  const [search] = useSearchParams();
  const asked = search.get('way');
  if (asked === 'measures') return <BowPage />;
  if (asked === 'wrong') return <WrongPage />;
  return <SetupPage way={ways.find((w) => w === asked) ?? 'sheet'} />;
}
