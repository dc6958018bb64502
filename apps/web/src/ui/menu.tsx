import type { MenuProps } from './menu-entry.ts';
import { later } from './later.ts';
import { WhenOpened } from './when-opened.tsx';

const MenuList = later(() => import('./menu-list.later.tsx'));

/** A menu below the button that opened it; it is loaded when the first one is opened. */
export function Menu(props: MenuProps) {
  return (
    <WhenOpened open={props.anchor !== null}>
      <MenuList {...props} />
    </WhenOpened>
  );
}
