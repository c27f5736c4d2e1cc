/** Prints a frame of 24 MP, for the bench to hand to the program. */
import { wallJpeg } from './wallFrame';

console.log(JSON.stringify({ jpeg: (await wallJpeg()).toString('base64') }));
