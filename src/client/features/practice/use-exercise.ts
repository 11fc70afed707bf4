import { useCallback, useEffect, useId, useMemo, useState } from 'react';
import { makeId, timeNow, useWorkshop, useWorkshopChange } from '@/client/store';
import { isRight, pickNext, type Exercise, type Skill } from '@/core/practice';
import type { Confidence, PracticeAnswer, PracticeLook } from '@/core/workshop';
import { practiceLine } from './practice-line';

export interface Given {
  said: string;
  confidence: Confidence;
  right: boolean;
}

/** One exercise after another: what is asked now, what was said to it, and the next. */
export function useExercise(skills: readonly Skill[]) {
  const { workshop } = useWorkshop();
  const change = useWorkshopChange();
  const asker = useId();
  // Picked once for each turn: what is answered meanwhile is for the next.
  const [asked, setAsked] = useState(() => pickNext(workshop.practice, timeNow(), skills));
  const [drawn, setDrawn] = useState<{ of: typeof asked; exercise: Exercise | null } | null>(null);
  const [given, setGiven] = useState<Given | null>(null);
  useEffect(() => {
    let left = false;
    const { seed, ...skill } = asked;
    void practiceLine
      .ask(asker, (api) => api.draw(skill, seed))
      .then((reply) => {
        if (!left) setDrawn({ of: asked, exercise: reply.ok ? reply.answer : null });
      });
    return () => void (left = true);
  }, [asked, asker]);
  const exercise = drawn?.of === asked ? drawn.exercise : null;

  const answer = useCallback(
    (said: string, confidence: Confidence, looks: readonly PracticeLook[] = []): void => {
      if (!exercise) return;
      const { kind, skill, seed } = exercise;
      const right = isRight(exercise, said);
      const at = timeNow();
      const own: PracticeAnswer = { id: makeId(), at, kind, skill, seed, said, right, confidence };
      change({ type: 'exercise_answered', answer: { ...own, ...(looks.length > 0 ? { looks: [...looks] } : {}) } });
      setGiven({ said, confidence, right });
    },
    [exercise, change],
  );
  const next = useCallback((): void => {
    setGiven(null);
    setAsked(pickNext(workshop.practice, timeNow(), skills));
  }, [workshop.practice, skills]);
  const failed = drawn?.of === asked && drawn.exercise === null;
  return useMemo(() => ({ exercise, failed, given, answer, next }), [exercise, failed, given, answer, next]);
}
