#!/usr/bin/env node
import { register } from 'tsx/esm/api';

register();
const { main } = await import('../src/cli/main.ts');
const { endWithReader } = await import('../src/cli/pipes.ts');
endWithReader(process.stdout);
process.exitCode = await main(process.argv.slice(2), process);
