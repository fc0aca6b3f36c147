'use client';

import { createContext } from 'react';
import type { Person } from '@/core/bakery/people';

/** Whose session the page was made for; null where a part is shown by itself. */
export const Who = createContext<Pick<Person, 'id' | 'role'> | null>(null);
