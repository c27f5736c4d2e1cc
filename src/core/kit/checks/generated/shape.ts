// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = '90bccb2edc499776';
