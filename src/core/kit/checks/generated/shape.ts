// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = '7d31f690218c0c9e';
