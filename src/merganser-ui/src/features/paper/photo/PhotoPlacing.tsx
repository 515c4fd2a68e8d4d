import { useEffect, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Plain } from '../../../parts/Buttons';
import { ChoiceRow } from '../../../parts/ChoiceRow';
import { Field } from '../../../parts/Field';
import { Fault } from '../../../parts/Note';
import { classes } from '../../../parts/classes';
import { useSize } from '../../../parts/useWidth';
import { image, type Photograph } from '../../../pictures/usePhotographs';
import { useEscape } from '../../../shell/focus';
import type { Hole } from '../paperTypes';
import { Pane } from '../Pane';
import { placeUnder, steppedBy } from '../sheetHands';
import type { Known, PhotoSheet } from './usePhotoSheet';
import sheet from '../Sheet.module.css';
import l from '../../../parts/layout.module.css';
import w from '../../../parts/words.module.css';
import s from './Photo.module.css';

const GRAB = 24;
const LOUPE = 140;
const CLOSER = 3;
const STEP = 2;
const WIDE = 20;
const sizes: [Known | 'other', string][] = [
  ['other', 'Another'],
  ['a4', 'A4'],
  ['a3', 'A3'],
  ['letter', 'Letter'],
];
const ordinal = ['upper left', 'second', 'third', 'fourth'];

/** Where the sheet lies in a photograph: its four corners, then a length that is known. */
export function PhotoPlacing({ picture, photo }: { picture: Photograph; photo: PhotoSheet }) {
  const { ref, width, height } = useSize<HTMLDivElement>(620, 530);
  const svg = useRef<SVGSVGElement>(null);
  const { corners, wanted } = photo;
  const { straight, known, points, length } = photo.presses;
  const [cross, setCross] = useState<Hole>({ x: picture.width / 2, y: picture.height / 2 });
  const [dragged, setDragged] = useState<number | null>(null);
  // It has the keys, and on a phone it comes into sight.
  useEffect(() => svg.current?.focus(), []);
  useEscape(true, () => photo.place(null));

  const done = points.length >= wanted;
  const px = Math.min(width / picture.width, height / picture.height);
  const left = (width - picture.width * px) / 2;
  const top = (height - picture.height * px) / 2;
  const screen = (at: Hole) => ({ x: left + at.x * px, y: top + at.y * px });
  /** Pixels of the picture, counted downwards, from a place that counts upwards. */
  const inPicture = ({ x, y }: Hole) => ({
    x: Math.min(picture.width, Math.max(0, Math.round(x))),
    y: Math.min(picture.height, Math.max(0, Math.round(-y))),
  });
  const asked =
    points.length < corners
      ? points.length === 0
        ? 'Press the sheet’s upper left corner'
        : `Press its ${ordinal[points.length]} corner`
      : !done
        ? `Press ${points.length === corners ? 'one' : 'the other'} end of a length that you know`
        : 'Drag to correct, then lay it under the sheet';

  const put = (at: number, where: Hole) => {
    setCross(where);
    photo.press({ points: points.length > at ? points.map((one, i) => (i === at ? where : one)) : [...points, where] });
  };
  const at = (event: PointerEvent) => inPicture(placeUnder(event, svg.current!, { width, cx: left, cy: top, px }));
  const down = (event: PointerEvent<SVGSVGElement>) => {
    const where = at(event);
    const near = points.findIndex((one) => Math.hypot(one.x - where.x, one.y - where.y) * px < GRAB);
    const which = near >= 0 ? near : points.length;
    if (which >= wanted) return;
    event.currentTarget.setPointerCapture?.(event.pointerId);
    setDragged(which);
    put(which, where);
  };
  const back = () => photo.press({ points: points.slice(0, -1) });
  const press = (event: KeyboardEvent) => {
    const moved = steppedBy(event, { x: cross.x, y: -cross.y }, WIDE, STEP);
    if (moved) setCross(inPicture(moved));
    else if (event.key === 'Enter' && !done) {
      event.preventDefault();
      event.stopPropagation();
      put(points.length, cross);
    } else if (event.key === 'Backspace') {
      event.preventDefault();
      back();
    }
  };
  const aim = screen(cross);
  const loupeLeft = aim.x < width / 2 ? width - LOUPE - 8 : 8;
  const path = points.slice(0, corners).map(screen);
  const ends = points.slice(corners).map(screen);
  const { faults } = photo;
  return (
    <>
      <div className={sheet.space} ref={ref}>
        <svg
          ref={svg}
          className={classes(sheet.sheet, sheet.marking)}
          viewBox={`0 0 ${width} ${height}`}
          tabIndex={0}
          role="application"
          aria-label={`Photograph. ${asked}. Arrow keys move the cross, Enter presses, Backspace takes the last press back.`}
          data-owns-keys
          data-testid="placing"
          onPointerDown={down}
          onPointerMove={(event) => (dragged === null ? setCross(at(event)) : put(dragged, at(event)))}
          onPointerUp={() => setDragged(null)}
          onKeyDown={press}
        >
          <image
            href={image(picture.id)}
            x={left}
            y={top}
            width={picture.width * px}
            height={picture.height * px}
            preserveAspectRatio="none"
          />
          {path.length > 1 && (
            <path
              className={s.line}
              d={`M${path.map((p) => `${p.x} ${p.y}`).join('L')}${path.length === corners ? 'Z' : ''}`}
            />
          )}
          {ends.length === 2 && (
            <path className={s.line} d={`M${ends[0]!.x} ${ends[0]!.y}L${ends[1]!.x} ${ends[1]!.y}`} />
          )}
          {points.map((one, i) => {
            const p = screen(one);
            return (
              <g key={i} className={s.press}>
                <circle cx={p.x} cy={p.y} r="9" />
                <text x={p.x + 12} y={p.y - 10}>
                  {i < corners ? i + 1 : i === corners ? 'from' : 'to'}
                </text>
              </g>
            );
          })}
          <path className={s.cross} d={`M${aim.x - 16} ${aim.y}h32 M${aim.x} ${aim.y - 16}v32`} />
          <svg
            x={loupeLeft}
            y={8}
            width={LOUPE}
            height={LOUPE}
            viewBox={`${cross.x * px - LOUPE / CLOSER / 2} ${cross.y * px - LOUPE / CLOSER / 2} ${LOUPE / CLOSER} ${LOUPE / CLOSER}`}
            aria-hidden="true"
          >
            <image
              href={image(picture.id)}
              width={picture.width * px}
              height={picture.height * px}
              preserveAspectRatio="none"
            />
            <path
              className={s.fine}
              d={`M${cross.x * px - 8} ${cross.y * px}h16 M${cross.x * px} ${cross.y * px - 8}v16`}
            />
          </svg>
          <text className={s.asked} x="16" y={height - 16}>
            {asked}
          </text>
          <rect className={s.loupe} x={loupeLeft} y={8} width={LOUPE} height={LOUPE} />
        </svg>
      </div>
      <Pane label="Where the sheet lies">
        <p className={w.label}>
          Photograph, {Math.min(points.length, wanted)} of {wanted} presses
        </p>
        <h1 aria-live="polite">{asked}</h1>
        <p>
          {straight
            ? 'The photograph counts as taken straight on: only its scale is asked for.'
            : 'The corners square it, however aslant it was taken. The upper left is the one that the shooter saw there.'}
        </p>
        {faults.corners && <Fault>{faults.corners[0]}</Fault>}
        <div className={l.row}>
          <Plain disabled={points.length === 0} onClick={back}>
            Take the last press back
          </Plain>
          <Plain onClick={() => photo.press({ points: [], known: null, straight: !straight })}>
            {straight ? 'Press its corners after all' : 'It was taken straight on'}
          </Plain>
        </div>
        {!straight && (
          <>
            <h2>Size of the sheet</h2>
            <ChoiceRow<Known | 'other'>
              label="Size of the sheet"
              value={known ?? 'other'}
              choices={sizes}
              onChange={(size) =>
                photo.press(size === 'other' ? { known: null } : { known: size, points: points.slice(0, corners) })
              }
            />
          </>
        )}
        {!known && (
          <Field
            label="How long that length is"
            name="length"
            quantity="length"
            value={length}
            onChange={(text) => photo.press({ length: text })}
            fault={faults.length?.[0]}
            hint="a ruler in the picture, an edge of the sheet, a shaft; the longer the better"
            onEnter={() => void photo.keep()}
          />
        )}
        {photo.problem && !faults.corners && !faults.length && <Fault>{photo.problem.message}</Fault>}
      </Pane>
    </>
  );
}
