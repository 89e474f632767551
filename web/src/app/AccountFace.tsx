import { Menu } from 'lucide-react';

export const ACCOUNT_BUTTON = 'min-h-11 min-w-11 flex items-center gap-2 justify-center';

/** What the button of the person's menu shows. */
export function AccountFace({ name }: { name: string }) {
  return (
    <>
      <span className="max-lg:hidden text-sm">{name}</span>
      <Menu aria-hidden size={22} />
    </>
  );
}
