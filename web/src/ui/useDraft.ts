import { useCallback, useEffect, useRef } from 'react';
import {
  useForm,
  type DefaultValues,
  type FieldValues,
  type Resolver,
  type UseFormReturn,
} from 'react-hook-form';
import { draftKey } from './draftOwner.ts';

/** A half-typed form found on this device, or the given start. */
function readDraft<T>(name: string, start: T): T {
  try {
    // Before drafts had an owner they had this key: what lies there is not lost.
    const text = localStorage.getItem(draftKey(name)) ?? localStorage.getItem(`white-ember draft ${name}`);
    return text === null ? start : { ...start, ...(JSON.parse(text) as T) };
  } catch {
    return start;
  }
}

/**
 * A form whose typing is kept on this device while it is typed, so that a reload or crash loses nothing. `done` empties
 * it and forgets the draft, once what was typed is stored; told what that was, it keeps what was typed since.
 */
export function useDraftForm<T extends FieldValues>(
  name: string,
  start: T,
  empty: T = start,
  resolver?: Resolver<T>,
): { form: UseFormReturn<T>; done: (stored?: T) => void } {
  const form = useForm<T>({
    defaultValues: readDraft(name, start) as DefaultValues<T>,
    ...(resolver ? { resolver } : {}),
  });
  const timer = useRef<number | undefined>(undefined);
  useEffect(() => {
    const unsubscribe = form.subscribe({
      formState: { values: true },
      callback: ({ values }) => {
        window.clearTimeout(timer.current);
        timer.current = window.setTimeout(
          () => localStorage.setItem(draftKey(name), JSON.stringify(values)),
          150,
        );
      },
    });
    return () => {
      unsubscribe();
      window.clearTimeout(timer.current);
    };
  }, [form, name]);
  const done = useCallback(
    (stored?: T) => {
      // Who is quick has gone on typing while it was stored: that is the next one, and stays.
      if (stored !== undefined && JSON.stringify(stored) !== JSON.stringify(form.getValues())) return;
      form.reset(empty);
      window.clearTimeout(timer.current);
      localStorage.removeItem(draftKey(name));
      localStorage.removeItem(`white-ember draft ${name}`);
    },
    [form, name, empty],
  );
  return { form, done };
}
