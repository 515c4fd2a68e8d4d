import { lazy } from 'react';
import { useSearchParams } from 'react-router';
import type { BowWay } from './BowWays';
import SetupPage from './SetupPage';

const BowPage = lazy(() => import('../bow/BowPage'));
const ways: BowWay[] = ['sheet', 'history', 'string', 'sights', 'card'];

/** The Bow stop: its work order, or the record of the bow and its archer. */
export default function BowStop() {
  const [search] = useSearchParams();
  const asked = search.get('way');
  if (asked === 'measures') return <BowPage />;
  return <SetupPage way={ways.find((w) => w === asked) ?? 'sheet'} />;
}
