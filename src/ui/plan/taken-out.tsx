'use client';

import { useWords } from '../kit/words';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Button } from '../kit/button';
import { send } from '../live/command';

const STAYS = 20_000;

/** A dough was taken out: put it back with one tap, for a while. */
export function TakenOut({ dough, onClose }: { dough: { id: number; name: string }; onClose: () => void }) {
  const say = useWords();
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    const timer = setTimeout(onClose, STAYS);
    return () => clearTimeout(timer);
  }, [onClose]);
  const putBack = async () => {
    const answer = await send('restore-dough', { doughId: dough.id });
    if (!answer.ok) return setTrouble(answer.message);
    router.refresh();
    onClose();
  };
  return (
    <div
      role="status"
      className="appears fixed bottom-4 left-4 flex max-w-xl items-center gap-4 rounded border border-edge bg-flour px-4 py-2 text-lg"
    >
      <span>{trouble ?? say('plan.isOutOfThePlan', { name: dough.name })}</span>
      <Button onClick={() => void putBack()}>{say('plan.putItBack')}</Button>
    </div>
  );
}
