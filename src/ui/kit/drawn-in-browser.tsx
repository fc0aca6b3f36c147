'use client';

import { useWords } from './words';
import { useSyncExternalStore, type ComponentType } from 'react';

const never = () => () => undefined;

/**
 * A view that is drawn where its size is known, and nowhere else: the house's computer, which has all other tablets to answer,
 * does not work out what it could not draw.
 */
export function drawnInBrowser<Props extends object>(View: ComponentType<Props>) {
  return function Drawn(props: Props) {
    const say = useWords();
    const inBrowser = useSyncExternalStore(
      never,
      () => true,
      () => false,
    );
    return inBrowser ? (
      <View {...props} />
    ) : (
      <main className="flex-1">
        <p className="p-10 text-lg text-quiet">{say('common.layingOutTheWork')}</p>
      </main>
    );
  };
}
