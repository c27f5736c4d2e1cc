// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = '4b7001aaddc2f8f6';
