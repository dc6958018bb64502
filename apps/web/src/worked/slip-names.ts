import { readAddress, type Method } from '@levee/core';

/** A slip that is made on purpose, by its address: what it is called, and what is done. */
export interface NamedSlip {
  readonly address: string;
  readonly label: string;
  readonly mechanism: string;
}

/** The slips of a paper with their names; an address that the method does not know stands for itself. */
export function slipNames({ slips }: Method, addresses: readonly string[]): readonly NamedSlip[] {
  return addresses.map((address) => {
    const spec = slips.find(({ id }) => id === readAddress(address)?.slip);
    const label = spec?.label.toLowerCase() ?? address;
    return { address, label, mechanism: spec?.mechanism ?? '' };
  });
}
