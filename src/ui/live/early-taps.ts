/** Told on the document when the page is awake. */
export const AWAKE = 'hefeteig:awake';

/**
 * Keeps what is tapped, typed, chosen and sent while a page is shown but not awake yet, as on a slow line, and does it in its
 * order once it is. Without this such a tap would do nothing and nobody would know.
 *
 * It runs in the page's head as its own text, before every other part, so it can use nothing from outside itself.
 *
 * @param awake - the event that is told when the page is awake
 */
export function keepEarlyTaps(awake: string): void {
  const kept: (() => void)[] = [];
  const hold = (event: Event, again: () => void) => {
    event.preventDefault();
    event.stopImmediatePropagation();
    kept.push(again);
  };
  const says = (button: Element) => button.getAttribute('aria-label') ?? button.textContent;
  const alike = (words: string | null) =>
    [...document.querySelectorAll('button')].filter((button) => says(button) === words);
  const tapped = (event: Event) => {
    const button = event.target instanceof Element ? event.target.closest('button') : null;
    if (!button) return;
    // A page that changes while it wakes up is made anew: then the button in its place is the one that was meant.
    const words = says(button);
    const nth = alike(words).indexOf(button);
    hold(event, () => (button.isConnected ? button : alike(words)[nth])?.click());
  };
  const sent = (event: Event) => {
    const form = event.target;
    if (form instanceof HTMLFormElement) hold(event, () => form.isConnected && form.requestSubmit());
  };
  const entered = ({ target }: Event) => {
    const isField =
      target instanceof HTMLInputElement ||
      target instanceof HTMLSelectElement ||
      target instanceof HTMLTextAreaElement;
    if (!isField || target.type === 'file') return;
    const { value } = target;
    const checked = target instanceof HTMLInputElement && target.checked;
    kept.push(() => {
      const field = target.isConnected ? target : document.getElementById(target.id);
      if (field instanceof HTMLInputElement && (field.type === 'checkbox' || field.type === 'radio')) {
        if (field.checked !== checked) field.click();
      } else if (field) {
        // The page has noted what stands in the field: only what is other than that is news to it.
        (field as HTMLInputElement).value = value === '' ? ' ' : '';
        Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value')?.set?.call(field, value);
        for (const name of ['input', 'change']) field.dispatchEvent(new Event(name, { bubbles: true }));
      }
    });
  };
  document.addEventListener('click', tapped, true);
  document.addEventListener('submit', sent, true);
  document.addEventListener('input', entered, true);
  document.addEventListener('change', entered, true);
  document.addEventListener(
    awake,
    () => {
      document.removeEventListener('click', tapped, true);
      document.removeEventListener('submit', sent, true);
      document.removeEventListener('input', entered, true);
      document.removeEventListener('change', entered, true);
      kept.splice(0).forEach((again) => again());
    },
    { once: true },
  );
}
