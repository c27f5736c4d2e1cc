// Generated from the record schemas by npm run generate. Do not edit.
export const SHAPE = 'b64fbd803274420c';
