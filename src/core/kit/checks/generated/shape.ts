// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = '37b6174a7c15ec83';
