import { styled, Text } from '@tamagui/core';

// A word that is longer than its place is broken before it leaves it.
const long = { style: { overflowWrap: 'anywhere' } } as const;
const base = { color: '$ink', fontFamily: '$body', margin: 0, ...long } as const;
const display = { color: '$ink', fontFamily: '$heading', fontWeight: '600', margin: 0, ...long } as const;

export const Title = styled(Text, { ...display, render: 'h1', fontSize: '$title', lineHeight: '$title' });
export const Heading = styled(Text, { ...display, render: 'h2', fontSize: '$heading', lineHeight: '$heading' });
export const Subheading = styled(Text, { ...display, render: 'h3', fontSize: '$text', lineHeight: '$text' });
export const Body = styled(Text, { ...base, fontSize: '$text', lineHeight: '$text' });
export const Small = styled(Text, { ...base, color: '$softInk', fontSize: '$small', lineHeight: '$small' });
export const Strong = styled(Text, { ...display, fontSize: '$text', lineHeight: '$text' });
/** Numbers that are read from a distance; figures of equal width. */
export const Figure = styled(Text, {
  ...display,
  fontSize: '$figure',
  lineHeight: '$figure',
  fontVariant: ['tabular-nums'],
});
