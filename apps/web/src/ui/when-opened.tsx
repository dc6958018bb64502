import { Suspense, useState, type ReactNode } from 'react';

/** Something that opens over the page: it is loaded when it is first opened, and stays from then on. */
export function WhenOpened({
  open,
  children,
}: {
  readonly open: boolean;
  readonly children: ReactNode;
}) {
  const [wasOpen, setWasOpen] = useState(open);
  if (open && !wasOpen) setWasOpen(true);
  return open || wasOpen ? <Suspense>{children}</Suspense> : null;
}
