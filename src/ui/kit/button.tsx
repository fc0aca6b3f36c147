import clsx from 'clsx';
import type { ComponentProps } from 'react';

/** `act`: the one next action, in butter. `plain`: anything else. `quiet`: by the way. */
type Look = 'act' | 'plain' | 'quiet';

const LOOKS: Record<Look, string> = {
  act: 'bg-butter text-on-butter font-semibold',
  // What is chosen is told by its edge and weight, not by its colour alone.
  plain:
    'border border-edge bg-flour text-ink aria-pressed:border-2 aria-pressed:border-ink aria-pressed:bg-butter-wash aria-pressed:font-bold',
  quiet: 'text-quiet underline-offset-4 hover:underline',
};

/** A button named by a verb. `floor`: sized for a knuckle, 56 px and more. */
export function Button({
  look = 'plain',
  floor = false,
  className,
  ...props
}: ComponentProps<'button'> & { look?: Look; floor?: boolean }) {
  const size = floor ? 'min-h-14 px-5 text-xl max-sm:px-2 max-sm:text-lg' : 'min-h-9 px-3 text-[15px]';
  return (
    <button
      type="button"
      className={clsx('rounded disabled:opacity-50', size, LOOKS[look], className)}
      {...props}
    />
  );
}
