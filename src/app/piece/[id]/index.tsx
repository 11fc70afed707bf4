import { Redirect, useLocalSearchParams } from 'expo-router';

export default function PieceIndex() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <Redirect href={`/piece/${id}/read`} />;
}
