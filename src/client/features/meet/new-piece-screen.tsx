import { zodResolver } from '@hookform/resolvers/zod';
import { router } from 'expo-router';
import { useEffect, useMemo } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useDispatch, useSelector } from 'react-redux';
import { BackLink, Screen } from '@/client/features/piece-frame';
import {
  changeMade,
  draftDone,
  draftTyped,
  makeId,
  useMeasures,
  useWorkshop,
  type AppDispatch,
  type RootState,
} from '@/client/store';
import {
  Button,
  Choices,
  Column,
  Field,
  Heading,
  PieceDrawing,
  Row,
  Small,
  Strong,
  Title,
  useIsWide,
} from '@/client/ui';
import { listTreated, startWishes } from '@/core/dossier';
import { PIECE_KINDS, type PieceKind } from '@/core/knowledge';
import { buildTemplate, KIND_TEMPLATES } from '@/core/templates';
import { HistoryFields } from './history-fields';
import { makeDossier, makeSchema, MOST_SIDE_MM, startValues, type FormInput } from './new-piece-form';
import { REGIONS } from './regions';

const FORM = 'meet';
const KIND_OPTIONS = PIECE_KINDS.map((code) => ({ code, label: KIND_TEMPLATES[code].label }));

/** Meet: a new piece in under a minute. Everything has a sensible start; the drawing follows the kind and size. */
export function NewPieceScreen() {
  const dispatch = useDispatch<AppDispatch>();
  const draft = useSelector((state: RootState) => state.drafts[FORM]) as FormInput | undefined;
  const gauge = useMeasures().gauge('side_mm');
  const { currency } = useWorkshop().workshop.setup;
  const schema = useMemo(() => makeSchema(gauge), [gauge]);
  const form = useForm({ resolver: zodResolver(schema), defaultValues: draft ?? startValues('dresser', gauge) });
  const { control, setValue, getValues, handleSubmit, formState } = form;
  const values = useWatch({ control }) as FormInput;

  useEffect(() => {
    dispatch(draftTyped({ form: FORM, values }));
  }, [values, dispatch]);

  const pickKind = (kind: PieceKind): void => {
    const before = KIND_TEMPLATES[getValues('kind')];
    const fresh = startValues(kind, gauge);
    if (getValues('name').trim() === '' || getValues('name') === before.label) setValue('name', fresh.name);
    setValue('kind', kind);
    for (const side of ['width', 'depth', 'height'] as const) setValue(side, fresh[side], { shouldValidate: false });
  };

  const submit = handleSubmit((valid) => {
    const id = makeId();
    dispatch(changeMade({ id: makeId(), pieceId: id, change: { type: 'piece_met', dossier: makeDossier(id, valid) } }));
    dispatch(draftDone({ form: FORM }));
    router.replace(`/piece/${id}/read`);
  });

  const errors = formState.errors;
  return (
    <Screen
      title="New piece"
      header={<NewHeader />}
      action={
        <Button look="main" grow onPress={() => void submit()}>
          Add it and read its surfaces
        </Button>
      }
    >
      <Column gap="$s">
        <Heading>What is it?</Heading>
        <Choices label="Kind of piece" options={KIND_OPTIONS} value={values.kind} onPick={pickKind} />
      </Column>
      <Preview values={values} />
      <Controller
        control={control}
        name="name"
        render={({ field }) => (
          <Field label="Name" value={field.value} onChange={field.onChange} error={errors.name?.message} />
        )}
      />
      <Column gap="$s">
        <Row gap="$s">
          {(['width', 'depth', 'height'] as const).map((side) => (
            <Controller
              key={side}
              control={control}
              name={side}
              render={({ field }) => (
                <Field
                  label={SIDE_LABELS[side]}
                  unit={gauge.unit}
                  numeric
                  value={field.value}
                  onChange={field.onChange}
                  error={errors[side]?.message}
                />
              )}
            />
          ))}
        </Row>
        <Small>A rough guess will do: zones and areas are worked out from it and can be measured later.</Small>
      </Column>
      <Heading>What is known of it?</Heading>
      <Controller
        control={control}
        name="history"
        render={({ field }) => <HistoryFields value={field.value} onChange={field.onChange} />}
      />
      <Column gap="$s">
        <Strong>Where in the world? It sets the date rule for lead.</Strong>
        <Controller
          control={control}
          name="region"
          render={({ field }) => (
            <Choices label="Region" options={REGIONS} value={field.value} onPick={field.onChange} />
          )}
        />
      </Column>
      <Controller
        control={control}
        name="price"
        render={({ field }) => (
          <Field
            label="Asking price, if any"
            {...(currency ? { unit: currency } : {})}
            numeric
            value={field.value}
            onChange={field.onChange}
            error={errors.price?.message}
          />
        )}
      />
    </Screen>
  );
}

const SIDE_LABELS = { width: 'Width', depth: 'Depth', height: 'Height' } as const;

function Preview({ values }: { values: FormInput }) {
  const { sayArea, gauge } = useMeasures();
  const wide = useIsWide();
  const measure = (text: string, usual: number): number => {
    const mm = gauge('side_mm').read(text) ?? 0;
    return mm > 0 && mm <= MOST_SIDE_MM ? mm : usual;
  };
  const { size } = KIND_TEMPLATES[values.kind];
  const template = buildTemplate(values.kind, {
    width: measure(values.width, size.width),
    depth: measure(values.depth, size.depth),
    height: measure(values.height, size.height),
  });
  return (
    <Column alignItems="center" gap="$xs">
      <PieceDrawing shapes={template.shapes} width={wide ? 420 : 300} height={170} />
      <Small>
        {listTreated({ zones: template.zones, goal: startWishes(template.zones) })
          .map((zone) => `${zone.name} ${sayArea(zone.area_m2 ?? 0)}`)
          .join(' · ')}
      </Small>
    </Column>
  );
}

function NewHeader() {
  return (
    <Row
      render="header"
      alignItems="center"
      borderBottomWidth={1}
      borderColor="$line"
      minHeight={64}
      paddingHorizontal="$l"
      gap="$xs"
    >
      <BackLink />
      <Title>New piece</Title>
    </Row>
  );
}
