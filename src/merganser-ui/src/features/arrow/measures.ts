import type { Schemas } from '../../api/client';
import type { ArrowMeasures } from '../../drawing/arrow';

const inFront = new Set<Schemas['EndPartKind']>(['outsert', 'collar', 'frontWeight']);
/** What goes over the shaft, not into it. */
const over = new Set<Schemas['EndPartKind']>(['outsert', 'collar', 'nockCollar']);

/** The measures that the drawing needs, as C# gave them. */
export function measuresOf(arrow: Schemas['Arrow']): ArrowMeasures {
  const insert = arrow.insert;
  return {
    cutLength: arrow.cutLength,
    tubeStart: arrow.nock.tubeStart,
    diameter: arrow.shaft.outerDiameter,
    pointLength: arrow.point.length,
    head: arrow.point.kind === 'fixedHead' || arrow.point.kind === 'mechanicalHead',
    insertFrom: insert ? arrow.cutLength + insert.centreAhead - insert.length / 2 : null,
    insertTo: insert ? arrow.cutLength + insert.centreAhead + insert.length / 2 : null,
    wrapTo: arrow.wrap ? arrow.nock.tubeStart + arrow.wrap.length : null,
    vaneFront: arrow.vaneFront,
    vaneLength: arrow.vane?.length ?? 0,
    vaneHeight: arrow.vane?.height ?? 0,
    vaneCount: arrow.vane ? arrow.vaneCount : 0,
    ends: (arrow.endParts ?? []).map((part) => {
      const centre = (inFront.has(part.kind) ? arrow.cutLength : arrow.nock.tubeStart) + part.centreAhead;
      return { from: centre - part.length / 2, to: centre + part.length / 2, over: over.has(part.kind) };
    }),
  };
}
