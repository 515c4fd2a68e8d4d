import type { Schemas } from '../../api/client';
import type { ArrowMeasures } from '../../drawing/arrow';

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
  };
}
