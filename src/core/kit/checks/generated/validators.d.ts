import type { ValidateFunction } from 'ajv';

export const workspace: ValidateFunction;
export const rigFile: ValidateFunction;
export const mounts: ValidateFunction;
export const bodies: ValidateFunction;
export const lenses: ValidateFunction;
export const parts: ValidateFunction;
export const rigs: ValidateFunction;
export const markings: ValidateFunction;
export const jobs: ValidateFunction;
export const days: ValidateFunction;
export const framingFile: ValidateFunction;
export const lensFile: ValidateFunction;
export const measurements: ValidateFunction;
export const judgement: ValidateFunction;
