import { register } from 'tsx/esm/api';

register();
await import('../src/node/measureChild.ts');
