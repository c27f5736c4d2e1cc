// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = '46f76556858bffac';
