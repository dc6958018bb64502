import { ValidationPipe, type ArgumentMetadata, type ValidationError } from '@nestjs/common';
import { excessOf } from './body.ts';
import { Failure } from './failure.ts';
import { describedFaults } from './is-described.ts';

/** The most faults of a request that are told. */
const MOST_FAULTS = 20;

/**
 * Checks every body and query against its class; unknown fields are refused, never dropped. What is too
 * large to be a request at all is refused before it is looked into.
 */
class RequestValidation extends ValidationPipe {
  override async transform(value: unknown, metadata: ArgumentMetadata): Promise<unknown> {
    if (metadata.type === 'body') {
      if (typeof value !== 'object' || value === null || Array.isArray(value)) {
        throw new Failure('request-invalid', 'The body must be one JSON object.');
      }
      const excess = excessOf(value);
      if (excess !== null) throw new Failure('request-invalid', `The body is too much: ${excess}.`);
    }
    return super.transform(value, metadata);
  }
}

export function requestValidation(): ValidationPipe {
  return new RequestValidation({
    whitelist: true,
    forbidNonWhitelisted: true,
    transform: true,
    stopAtFirstError: true,
    validationError: { target: false, value: false },
    exceptionFactory: (errors) => {
      const all = distinct(errors.flatMap((error) => faultsOf(error, '')));
      const faults = all.slice(0, MOST_FAULTS);
      const more = all.length > MOST_FAULTS ? `; and ${all.length - MOST_FAULTS} more` : '';
      const detail = faults.map(({ where, fault }) => `${where}: ${fault}`).join('; ') + more;
      return new Failure('request-invalid', detail, { faults });
    },
  });
}

interface FieldFault {
  readonly where: string;
  readonly fault: string;
}

function faultsOf(error: ValidationError, path: string): FieldFault[] {
  const where = path === '' ? error.property : `${path}.${error.property}`;
  const inside = describedFaults(error);
  if (inside) {
    return inside.map(({ where: at, fault }) => ({
      where: at === error.property ? where : `${where}.${at}`,
      fault,
    }));
  }
  const own = Object.values(error.constraints ?? {}).map((fault) => ({ where, fault }));
  return [...own, ...(error.children ?? []).flatMap((child) => faultsOf(child, where))];
}

/** Each fault once. */
function distinct(faults: readonly FieldFault[]): readonly FieldFault[] {
  return [...new Map(faults.map((fault) => [`${fault.where} ${fault.fault}`, fault])).values()];
}
