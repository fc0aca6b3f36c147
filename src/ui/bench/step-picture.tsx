'use client';

import { stepDrawing } from '@/core/process/step-drawing';
import type { StepForecast } from '@/core/forecast/forecast';
import { Picture } from '../drawing/picture';

/** What the hands do in this step, drawn; nothing where its own work below shows it to size. Its name says it already. */
export default function StepPicture({ step }: { step: StepForecast }) {
  const drawing = stepDrawing(step.step.kind, step.label);
  return drawing && <Picture drawing={drawing} id="step" className="w-full" />;
}
