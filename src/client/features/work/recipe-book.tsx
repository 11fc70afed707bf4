import { makeId, useListRecipesQuery, useMeasures } from '@/client/store';
import { Body, Button, Card, Column, Row, Sheet, Small, Strong, Swatch } from '@/client/ui';
import type { Mix } from '@/core/dossier';
import type { KeptRecipe } from '@/core/mix';
import { portionMix } from '@/core/work';
import { RECIPE_BOOK_WORDS } from '@/words';

interface RecipeBookProps {
  /** Recipes that this piece has already. */
  known: readonly string[];
  wantedMl: number;
  onMake: (mix: Mix) => void;
}

/** A colour that was mixed before, made again for this piece. */
export function RecipeBook({ known, wantedMl, onMake }: RecipeBookProps) {
  const { data = [] } = useListRecipesQuery(undefined, { refetchOnMountOrArgChange: true });
  const others = data.filter(({ id }) => !known.includes(id));
  if (others.length === 0) return null;
  return (
    <Sheet label={RECIPE_BOOK_WORDS.aColourThatWasMixedBefore}>
      {(close) => (
        <Column role="list" gap="$m">
          {others.map((recipe) => (
            <RecipeCard
              key={recipe.id}
              recipe={recipe}
              wantedMl={wantedMl}
              onMake={(mix) => {
                onMake(mix);
                close();
              }}
            />
          ))}
        </Column>
      )}
    </Sheet>
  );
}

function RecipeCard({
  recipe,
  wantedMl,
  onMake,
}: {
  recipe: KeptRecipe;
  wantedMl: number;
  onMake: (mix: Mix) => void;
}) {
  const { sayVolume } = useMeasures();
  const { id, mix, used } = recipe;
  const volume = wantedMl > 0 ? wantedMl : mix.volume_ml;
  const { photo: _photo, mixed_at: _at, ...again } = mix;
  return (
    <Card role="listitem" padding="$m" gap="$s">
      <Row gap="$s" alignItems="center">
        {mix.colour ? <Swatch colour={mix.colour} /> : null}
        <Strong flex={1}>{mix.name}</Strong>
      </Row>
      {portionMix(mix.parts, volume).map(({ name, ml }) => (
        <Row key={name} justifyContent="space-between" gap="$s">
          <Body>{name}</Body>
          <Strong>{sayVolume(ml)}</Strong>
        </Row>
      ))}
      <Small>{RECIPE_BOOK_WORDS.usedOn(used.map(({ name }) => name).join(', '))}</Small>
      <Button onPress={() => onMake({ ...again, id: makeId(), recipe: id, volume_ml: volume })}>
        {RECIPE_BOOK_WORDS.makeForThisPiece(sayVolume(volume))}
      </Button>
    </Card>
  );
}
