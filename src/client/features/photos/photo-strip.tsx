import { Image } from 'react-native';
import { usePictureUrl, useWaitingPictures } from '@/client/store';
import { photoPath } from '@/contract';
import { Button, Column, Row, Small, Subheading } from '@/client/ui';
import { zoneName, type Dossier, type PieceChange, type Zone } from '@/core/dossier';
import { PhotoButton } from './photo-button';
import { lowerFirst } from '@/core/shared';
import { PHOTO_STRIP_WORDS } from '@/words';

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
    <Column gap="$s" render="section" aria-label={PHOTO_STRIP_WORDS.pictures}>
      {photos.length + waiting.length > 0 ? <Subheading>{PHOTO_STRIP_WORDS.picturesOfThe(name)}</Subheading> : null}
      <Row gap="$s" flexWrap="wrap">
        {waiting.map((photoId) => (
          <WaitingPicture key={photoId} photoId={photoId} label={PHOTO_STRIP_WORDS.pictureOfTheThatWaitsTo(name)} />
        ))}
        {photos.map((photo, i) => {
          const defect = zone.defects?.findIndex((entry) => entry.photo === photo.id) ?? -1;
          return (
            <Column key={photo.id} gap="$xs" width={SIZE.width}>
              <Image
                source={{ uri: photoPath(photo.sha256) }}
                style={SIZE}
                resizeMode="cover"
                accessibilityLabel={PHOTO_STRIP_WORDS.pictureOfThe(i + 1, name)}
              />
              {defect >= 0 ? <Small>{PHOTO_STRIP_WORDS.showsNo(defect + 1)}</Small> : null}
              <Button
                look="quiet"
                label={PHOTO_STRIP_WORDS.removePicture(i + 1)}
                onPress={() => change({ type: 'photo_withdrawn', photoId: photo.id })}
              >
                {PHOTO_STRIP_WORDS.remove}
              </Button>
            </Column>
          );
        })}
      </Row>
      <Row>
        <PhotoButton dossier={dossier} zone={zone} label={PHOTO_STRIP_WORDS.addAPicture} />
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
      <Small>{PHOTO_STRIP_WORDS.waitsToBeSent}</Small>
    </Column>
  );
}
