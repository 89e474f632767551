import * as wording from '@white-ember/core/words/screens/ui';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';
import { X } from 'lucide-react';

/** A sheet over the page, closed by Escape or its cross. */
export function Sheet({
  open,
  onOpenChange,
  title,
  children,
  wide = false,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  title: string;
  children: ReactNode;
  wide?: boolean;
}) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-[#000000a0] z-40" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`fixed z-50 inset-x-0 bottom-0 sm:bottom-auto sm:top-[8vh] sm:left-1/2 sm:-translate-x-1/2 sm:inset-x-auto w-full ${wide ? 'sm:w-[56rem]' : 'sm:w-[34rem]'} max-w-full max-h-[88vh] overflow-auto bg-paper text-ink border-2 border-ink rounded-sm p-5`}
        >
          <div className="flex items-start justify-between gap-4 mb-3">
            <Dialog.Title className="text-2xl font-head font-semibold">{title}</Dialog.Title>
            <Dialog.Close className="min-h-11 min-w-11 grid place-items-center" aria-label={wording.close}>
              <X aria-hidden />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
