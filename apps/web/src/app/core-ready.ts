import { registry } from '@levee/core';

/** How many methods there are, once what computes is ready. */
export const methods = registry.methods.length;
