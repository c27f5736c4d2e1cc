import sharp from 'sharp';
const files = process.argv.slice(3); const out = process.argv[2];
const ims = await Promise.all(files.map(f => sharp(f).metadata().then(m => ({ f, w: m.width, h: m.height }))));
let x = 0; const comp = []; for (const i of ims) { comp.push({ input: i.f, left: x, top: 0 }); x += i.w + 8; }
await sharp({ create: { width: x, height: Math.max(...ims.map(i => i.h)), channels: 3, background: '#777' } }).composite(comp).png().toFile(out);
