import type { ArrowPaths } from '../../drawing/arrow';
import { classes } from '../../parts/classes';
import type { PartName } from './parts';
import s from './ArrowParts.module.css';

/** The outlines of an arrow's parts; each can be pressed where it is on the bench. */
export function ArrowParts({
  paths,
  chosen,
  onChoose,
}: {
  paths: ArrowPaths;
  chosen: PartName | null;
  onChoose?: (part: PartName) => void;
}) {
  const part = (name: PartName) =>
    onChoose
      ? { onClick: () => onChoose(name), className: classes(s.part, chosen === name && s.chosen), 'data-part': name }
      : { className: s.still };
  return (
    <>
      {paths.vaneDown && <path d={paths.vaneDown} {...part('vanes')} fill="var(--sheet)" />}
      <path d={paths.tube} {...part('shaft')} fill="var(--sheet)" />
      {paths.wrap && <path d={paths.wrap} {...part('wrap')} fill="var(--line)" />}
      {paths.vaneUp && <path d={paths.vaneUp} {...part('vanes')} fill="var(--greenwash)" />}
      <path d={paths.nock} {...part('nock')} fill="var(--greenwash)" />
      {paths.insert && <path d={paths.insert} {...part('insert')} fill="var(--line)" strokeDasharray="4 3" />}
      {paths.inside.map((d) => (
        <path key={d} d={d} {...part('more')} fill="var(--edge)" />
      ))}
      {paths.over.map((d) => (
        <path key={d} d={d} {...part('more')} fill="var(--ink2)" />
      ))}
      <path d={paths.point} {...part('point')} fill="var(--ink)" />
    </>
  );
}
