// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = 'a7620757329a7f2d';
