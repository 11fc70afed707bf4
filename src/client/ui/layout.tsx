import { styled, View } from '@tamagui/core';

export const Column = styled(View, { flexDirection: 'column', minWidth: 0 });
export const Row = styled(View, { flexDirection: 'row', minWidth: 0 });
export const Card = styled(View, {
  flexDirection: 'column',
  backgroundColor: '$card',
  borderWidth: 1,
  borderColor: '$line',
  borderRadius: '$corner',
  padding: '$l',
  gap: '$s',
});
/** What every button and option has in common: a real button, thumb-sized, that answers to hover and press. */
export const Pressed = styled(View, {
  render: 'button',
  minHeight: '$target',
  paddingVertical: '$s',
  borderRadius: '$corner',
  borderWidth: 1,
  borderColor: '$line',
  backgroundColor: '$card',
  justifyContent: 'center',
  cursor: 'pointer',
  hoverStyle: { borderColor: '$act' },
  pressStyle: { backgroundColor: '$actTint' },
});
export const Rule = styled(View, { height: 1, backgroundColor: '$line', alignSelf: 'stretch' });
