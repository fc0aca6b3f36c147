import { coded, type Coded } from '@/core/codes/coded';

/**
 * How far from now a moment is: "in 25 min", "12 min ago", "now".
 *
 * @param minutes until it comes; below zero since it has been
 */
export function fromNow(minutes: number): Coded {
  const whole = Math.round(minutes);
  if (whole === 0) return coded('common.now');
  return coded(whole > 0 ? 'common.inTime' : 'common.timeAgo', { duration: { minutes: Math.abs(whole) } });
}
