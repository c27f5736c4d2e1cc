// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = '7c06f237e6bbec3b';
