'use client';

export { TryAgain as default } from '@/ui/live/try-again';
