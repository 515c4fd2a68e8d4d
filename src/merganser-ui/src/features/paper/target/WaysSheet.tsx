import { faceFor, type Place } from '../../../drawing/target';
import { useFigures } from '../../../units/UnitsContext';
import { counted, type Paper, type Shot, type ShotSet } from '../paperTypes';
import { FaceSheet, Legend } from './FaceSheet';
import { isOpen } from './groupTypes';
import { Cross, Hit, Hits } from './TargetFace';

interface Props {
  paper: Paper;
  set: ShotSet;
}

/** What is read together with a set, the hits of earlier sets of its day told apart. */
function pooledHits({ paper, set }: Props, pooled: number[]) {
  const earlier = paper.sets.filter((other) => other.id !== set.id && pooled.includes(other.number)).flatMap(counted);
  return { now: counted(set), earlier };
}

/** Hits that are told by one of two marks, those of earlier sets pale. */
function TwoMarks({
  set,
  now,
  earlier,
  screen,
}: {
  set: ShotSet;
  now: Shot[];
  earlier: Shot[];
  screen: (place: Place) => Place;
}) {
  return (
    <>
      {earlier.map((shot) => (
        <Hit key={shot.id} kind="fletched" {...screen(shot.point)} pale open={isOpen(set, shot)} />
      ))}
      <Hits shots={now} screen={screen} set={set} />
    </>
  );
}

/** What the two marks stand for: filled, then open. */
const Marks = ({ words }: { words: string[] }) => (
  <>
    {words.map((said, i) => (
      <Legend key={said} x={30} y={54 + 26 * i} open={i === 1} words={said} />
    ))}
  </>
);

/** Two ways on one face: the hits of each, its middle, and the circle of its mean radius. */
export function WaysSheet(props: Props) {
  const { set } = props;
  const ways = set.ways!;
  const hits = pooledHits(props, ways.pooled);
  const half = faceFor(
    [...hits.now, ...hits.earlier].map((shot) => shot.point),
    ways.each.map((each) =>
      each.group ? Math.max(Math.abs(each.group.centre.x), Math.abs(each.group.centre.y)) + (each.meanRadius ?? 0) : 0,
    ),
  );
  const words = ways.each.map((each) => each.words);
  return (
    <FaceSheet
      title={set.stage}
      label={`Set ${set.number}: ${set.stage}. ${set.headline} ${words.join('; ')}.`}
      half={half}
      set={set}
      signs={
        ways.each.some((each) => each.group)
          ? [`ring: mean radius; dotted: ${ways.ways.second}`, 'cross: the middle of each']
          : []
      }
    >
      {({ px, screen }) => (
        <>
          {ways.each.map(
            (each) =>
              each.group &&
              each.meanRadius !== null && (
                <circle
                  key={each.way}
                  cx={screen(each.group.centre).x}
                  cy={screen(each.group.centre).y}
                  r={each.meanRadius * px}
                  fill="none"
                  stroke="var(--paper-pred)"
                  strokeWidth="3"
                  strokeDasharray={each.way === 'second' ? '2 7' : undefined}
                  strokeLinecap="round"
                />
              ),
          )}
          <TwoMarks set={set} {...hits} screen={screen} />
          {ways.each.map((each) => each.group && <Cross key={each.way} {...screen(each.group.centre)} />)}
          <Marks words={words} />
        </>
      )}
    </FaceSheet>
  );
}

/** A range error on one face: high with the sight set long, low with it short, the height that is allowed between. */
export function RangeSheet(props: Props) {
  const { set } = props;
  const { figure } = useFigures();
  const trial = set.rangeTrial!;
  const hits = pooledHits(props, trial.pooled);
  const half = faceFor(
    [...hits.now, ...hits.earlier].map((shot) => shot.point),
    [trial.allowed, ...trial.settings.map((setting) => Math.abs(setting.up ?? setting.computed ?? 0))],
  );
  const title = `Set ${set.number}: ${set.stage}`;
  const words = trial.settings.map((setting) => setting.words);
  return (
    <FaceSheet
      title={title}
      label={`${title}. ${set.headline} ${words.join('; ')}.`}
      half={half}
      set={set}
      enough={`green lines: ${figure(trial.allowed, 'in', 0)} up and down`}
      signs={[
        trial.settings[0]!.computed === null ? 'bar: middle, 95 %' : 'bar: middle, 95 %; dashed: by weight and speed',
      ]}
    >
      {({ px, cx, screen }) => {
        const [left, right] = [cx - half * px, cx + half * px];
        const at = (y: number) => screen({ x: 0, y }).y;
        return (
          <>
            {[trial.allowed, -trial.allowed].map((y) => (
              <path key={y} d={`M${left} ${at(y)}H${right}`} stroke="var(--paper-green)" strokeWidth="3" />
            ))}
            <TwoMarks set={set} {...hits} screen={screen} />
            {trial.settings.map(({ yards, up, computed }) => (
              <g key={yards}>
                {computed !== null && (
                  <path
                    d={`M${left} ${at(computed)}H${right}`}
                    stroke="var(--paper-pred)"
                    strokeWidth="2.5"
                    strokeDasharray="7 5"
                  />
                )}
                {up !== null && <path d={`M${cx - 46} ${at(up)}h92`} stroke="var(--paper-bill)" strokeWidth="4" />}
                {up !== null && trial.plus !== null && (
                  <path
                    d={`M${cx} ${at(up - trial.plus)}V${at(up + trial.plus)}`}
                    stroke="var(--paper-bill)"
                    strokeWidth="3"
                  />
                )}
              </g>
            ))}
            <Marks words={words} />
          </>
        );
      }}
    </FaceSheet>
  );
}
