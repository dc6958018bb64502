import type { Read, ReadFault } from '@levee/core';
import { ValidateBy, type ValidationArguments, type ValidationError } from 'class-validator';

const NAME = 'isDescribed';

/** Holds a field against the one description of its document. What is wrong is read with {@link describedFaults}. */
export function IsDescribed(read: (input: unknown) => Read<unknown>): PropertyDecorator {
  const faultsOf = (value: unknown): readonly ReadFault[] => {
    const described = read(value);
    if (described.ok) return [];
    return described.faults ?? [{ where: described.where, fault: described.fault }];
  };
  return ValidateBy({
    name: NAME,
    validator: {
      validate: (value: unknown) => faultsOf(value).length === 0,
      // A message is one text; every fault goes through it.
      defaultMessage: (given?: ValidationArguments) => JSON.stringify(faultsOf(given?.value)),
    },
  });
}

/** What is wrong inside a document, place by place; null for the faults of other checks. */
export function describedFaults({ constraints }: ValidationError): readonly ReadFault[] | null {
  const message = constraints?.[NAME];
  return message === undefined ? null : (JSON.parse(message) as readonly ReadFault[]);
}
