import type { Section } from './section';

/** Leaves no more than the first words of each group: labels for leader lines, one a product. */
export function groupLayers(section: Section): { label: string; note: string; from: number; to: number }[] {
  const groups: { label: string; note: string; from: number; to: number; key: string }[] = [];
  section.layers.forEach((layer, i) => {
    const key =
      layer.kind === 'coat'
        ? `${layer.layer}${layer.label}${layer.state ?? ''}${layer.suspect ?? ''}`
        : `${layer.kind}${i}`;
    const last = groups[groups.length - 1];
    if (last?.key === key) last.to = i;
    else groups.push({ label: layer.label, note: layer.note, from: i, to: i, key });
  });
  return groups.map(({ key: _key, ...group }) => group);
}
