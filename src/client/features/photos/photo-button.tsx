import { launchImageLibraryAsync } from 'expo-image-picker';
import Camera from 'lucide-react-native/icons/camera';
import { useEffect, useRef, useState } from 'react';
import { useTakePicture } from '@/client/store';
import { Button, Column, Small, useTones } from '@/client/ui';
import type { Dossier, Zone } from '@/core/dossier';
import { makeSmall } from './make-small';
import { PHOTO_BUTTON_WORDS } from '@/words';

interface PhotoButtonProps {
  dossier: Dossier;
  zone: Zone;
  label: string;
  onTaken?: (photoId: string) => void;
}

/** Picks or takes a picture. It is laid down here and goes to the workshop with all else that waits. */
export function PhotoButton({ dossier, zone, label, onTaken }: PhotoButtonProps) {
  const tones = useTones();
  const take = useTakePicture(dossier.piece.id ?? '');
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  // Making it small takes a while: what is told afterwards must know of what changed meanwhile.
  const tell = useRef(onTaken);
  useEffect(() => {
    tell.current = onTaken;
  });

  const pick = async (): Promise<void> => {
    const picked = await launchImageLibraryAsync({ mediaTypes: ['images'], quality: 1 });
    const asset = picked.assets?.[0];
    if (!asset) return;
    setBusy(true);
    setProblem(null);
    const small = await makeSmall(asset.file ?? (await (await fetch(asset.uri)).blob()));
    if (small.ok) {
      const photoId = await take(small.picture, zone.id);
      tell.current?.(photoId);
    } else setProblem(small.message);
    setBusy(false);
  };
  return (
    <Column gap="$xs">
      <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} disabled={busy} onPress={() => void pick()}>
        {busy ? PHOTO_BUTTON_WORDS.opening : label}
      </Button>
      {problem ? (
        <Small role="alert" color="$stop">
          {problem}
        </Small>
      ) : null}
    </Column>
  );
}
