import { ValidationPipe, type ValidationError } from '@nestjs/common';
import { Failure } from './failure.ts';

/** Checks every body and query against its class; unknown fields are refused, never dropped. */
export function requestValidation(): ValidationPipe {
  return new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    transform: true,
    exceptionFactory: (errors) => {
      const faults = errors.flatMap((error) => faultsOf(error, ''));
      return new Failure('request-invalid', faults.map((fault) => fault.fault).join('; '), {
        faults,
      });
    },
  });
}

interface FieldFault {
  readonly where: string;
  readonly fault: string;
}

function faultsOf(error: ValidationError, path: string): FieldFault[] {
  const where = path === '' ? error.property : `${path}.${error.property}`;
  const own = Object.values(error.constraints ?? {}).map((fault) => ({ where, fault }));
  return [...own, ...(error.children ?? []).flatMap((child) => faultsOf(child, where))];
}
