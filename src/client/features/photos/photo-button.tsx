import { launchImageLibraryAsync } from 'expo-image-picker';
import Camera from 'lucide-react-native/icons/camera';
import { useEffect, useRef, useState } from 'react';
import { useDispatch } from 'react-redux';
import { makeId, rememberPiece, type AppDispatch } from '@/client/store';
import { Button, Column, Small, useTones } from '@/client/ui';
import type { Dossier, Zone } from '@/core/dossier';
import { sendPhoto } from './send-photo';

interface PhotoButtonProps {
  dossier: Dossier;
  zone: Zone;
  label: string;
  onStored?: (photoId: string) => void;
}

interface Waiting {
  picture: Blob;
  photoId: string;
  message: string;
}

/** Picks or takes a picture. One that could not be sent is kept until it is, or until it is dropped. */
export function PhotoButton({ dossier, zone, label, onStored }: PhotoButtonProps) {
  const dispatch = useDispatch<AppDispatch>();
  const tones = useTones();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const [waiting, setWaiting] = useState<Waiting | null>(null);
  const pieceId = dossier.piece.id ?? '';
  // Sending takes a while: what is told afterwards must know of what changed meanwhile.
  const tell = useRef(onStored);
  useEffect(() => {
    tell.current = onStored;
  });

  const send = async (picture: Blob, photoId: string): Promise<void> => {
    setBusy(true);
    setProblem(null);
    const result = await sendPhoto(picture, pieceId, photoId, zone.id);
    setBusy(false);
    setWaiting(!result.ok && result.retry ? { picture, photoId, message: result.message } : null);
    if (result.ok) {
      await rememberPiece(dispatch, pieceId, result.dossier);
      tell.current?.(photoId);
    } else if (!result.retry) setProblem(result.message);
  };
  const pick = async (): Promise<void> => {
    const picked = await launchImageLibraryAsync({ mediaTypes: ['images'], quality: 1 });
    const asset = picked.assets?.[0];
    if (!asset) return;
    const picture = asset.file ?? (await (await fetch(asset.uri)).blob());
    await send(picture, makeId());
  };
  return (
    <Column gap="$xs">
      <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} disabled={busy} onPress={() => void pick()}>
        {busy ? 'Sending…' : label}
      </Button>
      {problem ? (
        <Small role="alert" color="$stop">
          {problem}
        </Small>
      ) : null}
      {waiting ? (
        <Column gap="$xs">
          <Small role="alert" color="$stop">
            {waiting.message}
          </Small>
          <Button onPress={() => void send(waiting.picture, waiting.photoId)}>Send it again</Button>
        </Column>
      ) : null}
    </Column>
  );
}
