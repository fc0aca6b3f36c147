import { useWords } from './words';
/** Stands where a drawing or chart is still being fetched. */
export function DrawingSoon() {
  const say = useWords();
  return <p className="h-72">{say('kit.drawing')}</p>;
}
