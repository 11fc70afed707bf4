import { View } from '@tamagui/core';
import Moon from 'lucide-react-native/icons/moon';
import Sun from 'lucide-react-native/icons/sun';
import type { ReactNode } from 'react';
import { useDispatch } from 'react-redux';
import { schemePicked, type AppDispatch } from '@/client/store';
import { Column, Row, Title, useIsDark, useTones } from '@/client/ui';
import { FindLink } from './find-link';
import { HelpButton } from './help-button';
import { SHOP_HEADER_WORDS } from '@/words';

/** Header of a screen of the whole shop: its name, with what stands before it and after. */
export function ShopHeader({ title, before, children }: { title: string; before?: ReactNode; children?: ReactNode }) {
  return (
    <Column render="header" borderBottomWidth={1} borderColor="$line">
      <Row
        width="100%"
        maxWidth={1212}
        alignSelf="center"
        alignItems="center"
        paddingHorizontal="$l"
        minHeight={64}
        gap="$s"
      >
        {before}
        <Title flexGrow={1} flexShrink={1}>
          {title}
        </Title>
        {children}
        <FindLink />
        <HelpButton />
        <SchemeSwitch />
      </Row>
    </Column>
  );
}

function SchemeSwitch() {
  const tones = useTones();
  const dispatch = useDispatch<AppDispatch>();
  const dark = useIsDark();
  const Icon = dark ? Sun : Moon;
  return (
    <View
      render="button"
      aria-label={dark ? SHOP_HEADER_WORDS.useTheLightLook : SHOP_HEADER_WORDS.useTheDarkLook}
      width={48}
      height={48}
      marginRight={-12}
      alignItems="center"
      justifyContent="center"
      backgroundColor="transparent"
      borderWidth={0}
      cursor="pointer"
      onPress={() => dispatch(schemePicked(dark ? 'light' : 'dark'))}
    >
      <Icon size={22} color={tones.ink} aria-hidden />
    </View>
  );
}
