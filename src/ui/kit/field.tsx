import clsx from 'clsx';
import { useId, type ComponentProps, type ReactNode } from 'react';

const BOX = 'w-full min-w-0 rounded border border-edge bg-ground px-2';

type Size = 'desk' | 'floor';
const SIZES: Record<Size, string> = { desk: 'min-h-10 text-[17px]', floor: 'min-h-14 px-4 text-2xl' };

interface Shared {
  label: ReactNode;
  /** What is wrong with it, in a sentence. */
  trouble?: string | null;
  /** What it comes to, or how it may be written. */
  hint?: ReactNode;
  size?: Size;
}

function Labelled({ label, trouble, hint, id, children }: Shared & { id: string; children: ReactNode }) {
  return (
    <div className="grid min-w-0 content-start gap-1 text-[15px]">
      <label htmlFor={id}>{label}</label>
      {children}
      {trouble ? (
        <p id={`${id}-about`} role="alert" className="text-warn">
          {trouble}
        </p>
      ) : (
        hint && (
          <p id={`${id}-about`} className="text-quiet">
            {hint}
          </p>
        )
      )}
    </div>
  );
}

/** A text field with its label, what it comes to, and what is wrong with it. */
export function Field({
  label,
  trouble = null,
  hint,
  size = 'desk',
  onType,
  className,
  ...props
}: Shared & { onType: (text: string) => void } & Omit<ComponentProps<'input'>, 'size' | 'onChange'>) {
  const id = useId();
  return (
    <Labelled {...{ label, trouble, hint, id }}>
      <input
        {...props}
        id={id}
        autoComplete="off"
        aria-invalid={trouble !== null}
        aria-describedby={trouble || hint ? `${id}-about` : undefined}
        className={clsx(BOX, SIZES[size], className)}
        onChange={(event) => onType(event.target.value)}
      />
    </Labelled>
  );
}

/** A choice among some, with its label. */
export function Choice({
  label,
  trouble = null,
  hint,
  size = 'desk',
  options,
  onChoose,
  className,
  ...props
}: Shared & { options: { id: string; name: string }[]; onChoose: (id: string) => void } & Omit<
    ComponentProps<'select'>,
    'size' | 'onChange'
  >) {
  const id = useId();
  return (
    <Labelled {...{ label, trouble, hint, id }}>
      <select
        {...props}
        id={id}
        className={clsx(BOX, SIZES[size], className)}
        onChange={(event) => onChoose(event.target.value)}
      >
        {options.map((option) => (
          <option key={option.id} value={option.id}>
            {option.name}
          </option>
        ))}
      </select>
    </Labelled>
  );
}
