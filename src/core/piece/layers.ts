import type { Section, SectionLayer } from './section';

/** Layers that lie together and are one thing, from the bottom up: what one leader line points to. */
export function groupLayers(section: Section): { layer: SectionLayer; from: number; to: number }[] {
  const groups: { layer: SectionLayer; from: number; to: number; key: string }[] = [];
  section.layers.forEach((layer, i) => {
    const key =
      layer.kind === 'coat'
        ? [layer.layer, layer.code, layer.tint, layer.coats, layer.state, layer.suspect].join('/')
        : `${layer.kind}${i}`;
    const last = groups[groups.length - 1];
    if (last?.key === key) last.to = i;
    else groups.push({ layer, from: i, to: i, key });
  });
  return groups.map(({ key: _key, ...group }) => group);
}
