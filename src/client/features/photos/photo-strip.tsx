import { Image } from 'react-native';
import { usePictureUrl, useWaitingPictures } from '@/client/store';
import { photoPath } from '@/contract';
import { Button, Column, Row, Small, Subheading } from '@/client/ui';
import { zoneName, type Dossier, type PieceChange, type Zone } from '@/core/dossier';
import { PhotoButton } from './photo-button';
import { lowerFirst } from '@/core/shared';

interface PhotoStripProps {
  dossier: Dossier;
  zone: Zone;
  change: (change: PieceChange) => void;
}

/** Pictures of a zone, newest first. */
export function PhotoStrip({ dossier, zone, change }: PhotoStripProps) {
  const photos = (dossier.photos ?? []).filter((photo) => photo.zone === zone.id).reverse();
  const waiting = useWaitingPictures(dossier.piece.id ?? '', zone.id).reverse();
  const name = lowerFirst(zoneName(zone));
  return (
    <Column gap="$s" render="section" aria-label="Pictures">
      {photos.length + waiting.length > 0 ? <Subheading>{`Pictures of the ${name}`}</Subheading> : null}
      <Row gap="$s" flexWrap="wrap">
        {waiting.map((photoId) => (
          <WaitingPicture key={photoId} photoId={photoId} label={`Picture of the ${name} that waits to be sent`} />
        ))}
        {photos.map((photo, i) => {
          const defect = zone.defects?.findIndex((entry) => entry.photo === photo.id) ?? -1;
          return (
            <Column key={photo.id} gap="$xs" width={SIZE.width}>
              <Image
                source={{ uri: photoPath(photo.sha256) }}
                style={SIZE}
                resizeMode="cover"
                accessibilityLabel={`Picture ${i + 1} of the ${name}`}
              />
              {defect >= 0 ? <Small>{`Shows no. ${defect + 1}`}</Small> : null}
              <Button
                look="quiet"
                label={`Remove picture ${i + 1}`}
                onPress={() => change({ type: 'photo_withdrawn', photoId: photo.id })}
              >
                Remove
              </Button>
            </Column>
          );
        })}
      </Row>
      <Row>
        <PhotoButton dossier={dossier} zone={zone} label="Add a picture" />
      </Row>
    </Column>
  );
}

const SIZE = { width: 140, height: 105, borderRadius: 4 } as const;

/** A picture the workshop has not got yet. */
function WaitingPicture({ photoId, label }: { photoId: string; label: string }) {
  const url = usePictureUrl(photoId);
  return (
    <Column gap="$xs" width={SIZE.width}>
      {url ? <Image source={{ uri: url }} style={SIZE} resizeMode="cover" accessibilityLabel={label} /> : null}
      <Small>Waits to be sent</Small>
    </Column>
  );
}
