import { View } from '@tamagui/core';
import { useEffect, useId, useState } from 'react';
import { Small } from '@/client/ui';
import type { PictureSpec } from '@/core/practice';
import { practiceLine } from './practice-line';

const SIDE = 340;

/** A made-up close-up, rendered while one looks. What it shows is not said: that is the question. */
export function MadePicture({ spec, label }: { spec: PictureSpec; label: string }) {
  const asker = useId();
  const key = JSON.stringify(spec);
  const [shown, setShown] = useState<{ key: string; url: string | null } | null>(null);
  useEffect(() => {
    let url: string | null = null;
    let left = false;
    void practiceLine
      .ask(asker, (api) => api.render(JSON.parse(key) as PictureSpec, SIDE))
      .then((reply) => {
        if (left) return;
        url = reply.ok && reply.answer ? URL.createObjectURL(reply.answer) : null;
        setShown({ key, url });
      });
    return () => {
      left = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [asker, key]);
  const current = shown?.key === key ? shown : null;
  if (current && !current.url) return null;
  return (
    <View
      width="100%"
      maxWidth={SIDE}
      aspectRatio={1}
      alignSelf="center"
      borderRadius="$corner"
      overflow="hidden"
      backgroundColor="$line"
    >
      {current?.url ? (
        <img src={current.url} alt={label} width="100%" height="100%" style={{ display: 'block' }} />
      ) : (
        <Small margin="auto">…</Small>
      )}
    </View>
  );
}
