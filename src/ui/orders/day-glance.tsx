import type { DayGlance as Glance } from '@/core/demand/glance';
import { useWords } from '../kit/words';

/** A day's orders at a glance: how many pieces for how many customers, and how much of it comes in time. */
export function DayGlance({ glance: { pieces, customers, served, late, open } }: { glance: Glance }) {
  const say = useWords();
  const parts = [
    { key: 'served', share: served, look: 'bg-ink' },
    { key: 'late', share: late, look: 'bg-warn' },
    { key: 'open', share: open, look: 'border border-warn bg-flour' },
  ].filter(({ share }) => share > 0);
  const behind = [
    ...(late > 0 ? [say('orders.someLate', { late })] : []),
    ...(open > 0 ? [say('orders.withoutADough', { open })] : []),
  ];
  return (
    <div className="py-1.5">
      <p className="text-[15px]">
        {say('orders.dayAtAGlance', { pieces, customers })}
        {late + open === 0 ? (
          <span className="text-quiet"> {say('orders.allInTime')}</span>
        ) : (
          <span className="font-semibold text-warn"> {behind.join(', ')}</span>
        )}
      </p>
      <div className="mt-1 flex h-2 gap-px" aria-hidden>
        {parts.map(({ key, share, look }) => (
          <span key={key} className={look} style={{ flexGrow: share }} />
        ))}
      </div>
    </div>
  );
}
