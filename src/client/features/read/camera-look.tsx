import { View } from '@tamagui/core';
import Camera from 'lucide-react-native/icons/camera';
import { useState } from 'react';
import { useOpenedPicture } from '@/client/features/picture';
import { Body, Button, Column, Row, Small, useTones } from '@/client/ui';
import { CAMERA_LOOKS, type Check } from '@/core/knowledge';
import type { RepeatReading } from '@/core/photo';
import { formatChance } from '@/core/shared';
import { sayRepeat } from '@/words';

interface CameraLookProps {
  check: Check;
  onTake: (result: string) => void;
}

/** What a photograph speaks for: proposed with its picture, taken by the owner or not. */
export function CameraLook({ check, onTake }: CameraLookProps) {
  const tones = useTones();
  const [reading, setReading] = useState<RepeatReading | null>(null);
  const [picture, setPicture] = useState<string | null>(null);
  const opened = useOpenedPicture(() => setReading(null));
  const look = (): Promise<void> =>
    opened.measure(async (reader) => {
      const answer = await reader.readRepeat();
      if ('kind' in answer) return answer.message;
      setPicture(opened.shot?.url ?? null);
      setReading(answer);
      return null;
    });
  const { misread, renders } = CAMERA_LOOKS[check.code]!;
  const proposed = check.answers.find(({ code }) => code === reading?.answer);
  return (
    <Column gap="$s" render="section" aria-label="Look with the camera">
      <Row gap="$s" flexWrap="wrap">
        <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} onPress={() => void opened.pick()}>
          {opened.shot || reading ? 'Take another picture' : 'Look with the camera'}
        </Button>
        {opened.shot ? (
          <Button look="main" onPress={() => void look()}>
            Look at it
          </Button>
        ) : null}
      </Row>
      {opened.busy ? <Body role="status">{opened.busy}</Body> : null}
      {opened.problem ? (
        <Small role="alert" color="$stop">
          {opened.problem}
        </Small>
      ) : null}
      {opened.shot ? <Small>Hold it square to the face, an arm’s length of it, no lamp in it.</Small> : null}
      {(opened.shot?.url ?? picture) ? (
        <View width={160} aspectRatio={1} overflow="hidden" borderRadius="$corner">
          <img
            src={opened.shot?.url ?? picture ?? ''}
            alt="The face as it was taken"
            width="100%"
            height="100%"
            style={{ objectFit: 'cover' }}
          />
        </View>
      ) : null}
      {reading && proposed ? (
        <Column gap="$s">
          <Body role="status">{sayRepeat(reading)}</Body>
          <Small>
            {`On made-up pictures (${renders} of each) such a look is right ${formatChance(1 - misread)}. It counts as that, and never alone.`}
          </Small>
          <Row>
            <Button onPress={() => onTake(proposed.code)}>{`Take it: ${proposed.label}`}</Button>
          </Row>
        </Column>
      ) : null}
    </Column>
  );
}
