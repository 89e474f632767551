import { useEffect, useRef } from 'react';
import type { FieldValues, UseFormReturn } from 'react-hook-form';

const keyOf = (name: string): string => `white-ember draft ${name}`;

/** A half-typed form found on this device, or the given start. */
export function readDraft<T>(name: string, start: T): T {
  try {
    const text = localStorage.getItem(keyOf(name));
    return text === null ? start : { ...start, ...(JSON.parse(text) as T) };
  } catch {
    return start;
  }
}

export const dropDraft = (name: string): void => localStorage.removeItem(keyOf(name));

/** Keeps what is typed on this device while it is typed, so that a reload or crash loses nothing. */
export function useDraft<T extends FieldValues>(name: string, form: UseFormReturn<T>): void {
  const timer = useRef<number | undefined>(undefined);
  useEffect(() => {
    const subscription = form.watch((values) => {
      window.clearTimeout(timer.current);
      timer.current = window.setTimeout(() => localStorage.setItem(keyOf(name), JSON.stringify(values)), 150);
    });
    return () => {
      subscription.unsubscribe();
      window.clearTimeout(timer.current);
    };
  }, [form, name]);
}
