// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = '55d3aea19745792e';
