import { View } from '@tamagui/core';
import Camera from 'lucide-react-native/icons/camera';
import { useState } from 'react';
import { useOpenedPicture, type PictureReader } from '@/client/features/picture';
import { Body, Button, Column, Row, Small, useTones } from '@/client/ui';
import { CAMERA_LOOKS, type Check } from '@/core/knowledge';
import { lookMisread, type Misreadings } from '@/core/survey';
import { CAMERA_LOOK_WORDS, formatChance, sayGrain, sayRepeat, sayShine } from '@/words';

interface Proposal {
  answer: string | null;
  says: string;
}

interface Look {
  hint: string;
  /** What the second picture is to be, where it takes two. */
  second?: string;
  read: (reader: PictureReader) => Promise<Proposal | string>;
}

/** How a check is looked at with the camera: what is read, or what is wrong with the picture. */
const LOOKS: Readonly<Record<string, Look>> = {
  pattern_repeat: {
    hint: CAMERA_LOOK_WORDS.holdItSquareToTheFace,
    read: async (reader) => {
      const reading = await reader.readRepeat();
      return 'kind' in reading ? reading.message : { answer: reading.answer, says: sayRepeat(reading) };
    },
  },
  pores: {
    hint: CAMERA_LOOK_WORDS.aHandsBreadthAwayLightFrom,
    read: async (reader) => {
      const reading = await reader.readGrain();
      return 'kind' in reading ? reading.message : { answer: reading.answer, says: sayGrain(reading) };
    },
  },
  gloss_look: {
    hint: CAMERA_LOOK_WORDS.lampOfThePhoneOnA,
    second: CAMERA_LOOK_WORDS.takeItAgainTilted,
    read: async (reader) => {
      const reading = await reader.readShine();
      return 'kind' in reading ? reading.message : { answer: reading.answer, says: sayShine(reading) };
    },
  },
};

interface CameraLookProps {
  check: Check;
  /** How often such looks are wrong in this shop, by what was confirmed; as renders gave it where nothing was. */
  misreadings: Misreadings;
  onPropose: (result: string | null) => void;
  onTake: (result: string) => void;
}

/** What a photograph speaks for: proposed with its picture, taken by the owner or not. */
export function CameraLook({ check, misreadings, onPropose, onTake }: CameraLookProps) {
  const tones = useTones();
  const [proposal, setProposal] = useState<Proposal | null>(null);
  const [picture, setPicture] = useState<string | null>(null);
  const [taken, setTaken] = useState(0);
  const propose = (next: Proposal | null): void => {
    setProposal(next);
    onPropose(next?.answer ?? null);
  };
  const { shot, busy, problem, pick, measure } = useOpenedPicture(() => propose(null));
  const { hint, second, read } = LOOKS[check.code]!;
  const wanted = second ? 2 : 1;
  const take = async (again: boolean): Promise<void> => {
    await pick(again);
    setTaken(again ? 2 : 1);
  };
  const look = (): Promise<void> =>
    measure(async (reader) => {
      const answer = await read(reader);
      if (typeof answer === 'string') return answer;
      setPicture(shot?.url ?? null);
      propose(answer);
      return null;
    });
  const { misread: onRenders, renders } = CAMERA_LOOKS[check.code]!;
  const misread = lookMisread(check.code, misreadings)!;
  const proposed = check.answers.find(({ code }) => code === proposal?.answer);
  const shown = shot?.url ?? picture;
  return (
    <Column gap="$s" render="section" aria-label={CAMERA_LOOK_WORDS.lookWithTheCamera}>
      <Row gap="$s" flexWrap="wrap">
        <Button icon={<Camera size={18} color={tones.ink} aria-hidden />} onPress={() => void take(false)}>
          {shown ? CAMERA_LOOK_WORDS.startAgain : CAMERA_LOOK_WORDS.lookWithTheCamera}
        </Button>
        {shot && second && taken < wanted ? <Button onPress={() => void take(true)}>{second}</Button> : null}
        {shot && taken >= wanted ? (
          <Button look="main" onPress={() => void look()}>
            {CAMERA_LOOK_WORDS.lookAtIt}
          </Button>
        ) : null}
      </Row>
      {busy ? <Body role="status">{busy}</Body> : null}
      {problem ? (
        <Small role="alert" color="$stop">
          {problem}
        </Small>
      ) : null}
      {shot ? <Small>{hint}</Small> : null}
      {shown ? (
        <View width={160} aspectRatio={1} overflow="hidden" borderRadius="$corner">
          <img
            src={shown}
            alt={CAMERA_LOOK_WORDS.theFaceAsItWasTaken}
            width="100%"
            height="100%"
            style={{ objectFit: 'cover' }}
          />
        </View>
      ) : null}
      {proposal && proposed ? (
        <Column gap="$s">
          <Body role="status">{proposal.says}</Body>
          <Small>
            {misread === onRenders
              ? CAMERA_LOOK_WORDS.onMadeUpPicturesOfEach(renders, formatChance(1 - misread))
              : CAMERA_LOOK_WORDS.withWhatYouLookedAtYourself(formatChance(1 - misread))}
          </Small>
          <Row>
            <Button onPress={() => onTake(proposed.code)}>{CAMERA_LOOK_WORDS.takeIt(proposed.label)}</Button>
          </Row>
          <Small>{CAMERA_LOOK_WORDS.orLookYourselfAndAnswerAbove}</Small>
        </Column>
      ) : null}
    </Column>
  );
}
