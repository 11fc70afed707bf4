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
export const Rule = styled(View, { height: 1, backgroundColor: '$line', alignSelf: 'stretch' });
