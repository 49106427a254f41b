import { useSyncExternalStore } from 'react';
import type { ReaderUnit } from '../api/client';

export type Density = 'auto' | 'desk' | 'boat';
export type Theme = 'paper' | 'glare';

export interface Appearance {
  density: Density;
  theme: Theme;
  reader: ReaderUnit;
}

const KEY = 'appearance';
const NARROW = 700;
let appearance: Appearance = { density: 'auto', theme: 'paper', reader: 'as-read' };
const listeners = new Set<() => void>();

/** The density in force: on a small or touched screen the boat's, else the desk's. */
export function densityNow(): 'desk' | 'boat' {
  if (appearance.density !== 'auto') {
    return appearance.density;
  }
  return innerWidth < NARROW || matchMedia('(pointer: coarse)').matches ? 'boat' : 'desk';
}

function apply(): void {
  document.documentElement.dataset.density = densityNow();
  document.documentElement.dataset.theme = appearance.theme;
  for (const listener of listeners) {
    listener();
  }
}

export function setAppearance(change: Partial<Appearance>): void {
  appearance = { ...appearance, ...change };
  localStorage.setItem(KEY, JSON.stringify(appearance));
  apply();
}

/** Before the first paint, and again when the window is turned or resized. */
export function startAppearance(): void {
  try {
    appearance = { ...appearance, ...JSON.parse(localStorage.getItem(KEY) ?? '{}') };
  } catch {
    localStorage.removeItem(KEY);
  }
  apply();
  addEventListener('resize', apply);
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

export function useAppearance(): Appearance {
  return useSyncExternalStore(subscribe, () => appearance);
}

export function useDensity(): 'desk' | 'boat' {
  return useSyncExternalStore(subscribe, densityNow);
}
