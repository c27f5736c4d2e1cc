/** The answer to POST /api/measure: one frame's file in, its measurement out. */
import type { FileOptions } from '@/core/measure';
import { parseFrame } from '@/core/optics';
import { measureChild } from '@/node/child';
import { one, readBody, refuse, refuseBody } from './requests';
import { refuseHost } from './hosts';
import { type InTurn, queueOf } from './queue';

/** Largest frame read, bytes. */
const MOST_FRAME_BYTES = 64 * 1024 * 1024;

/** Memory for decoding one, bytes: a JPEG of 115 million pixels, 25 million in 16 bits otherwise. */
const MOST_WORK_BYTES = 450e6;

/** Frames that come, wait or are measured at one time. */
const MOST_INSIDE = 8;
const queue = queueOf(MOST_INSIDE);
const measured = measureChild();

const bad = (code: string, sentence: string) => refuse(400, one(code, sentence));

function numberIn(query: URLSearchParams, name: string, min: number, max: number): number | null {
  const text = query.get(name);
  if (text === null || text.trim() === '') return text === null ? null : Number.NaN;
  const value = Number(text);
  return value >= min && value <= max ? value : Number.NaN;
}

/** Options of the address: sensor=36x24, tone, fnumber, exitPupil; or the refusal they earn. */
function optionsOf(query: URLSearchParams): FileOptions | Response {
  const sensor = parseFrame(query.get('sensor') ?? '');
  if (!sensor)
    return bad('sensor', 'Give the sensor’s size in mm from 0.5 to 400, such as sensor=36x24.');
  const tone = query.get('tone') ?? 'auto';
  if (tone !== 'auto' && tone !== 'srgb' && tone !== 'linear')
    return bad('tone', 'tone takes srgb, linear or auto.');
  const fNumber = numberIn(query, 'fnumber', 0.5, 128);
  if (Number.isNaN(fNumber)) return bad('fnumber', 'fnumber must be a number from 0.5 to 128.');
  const exitPupilMm = numberIn(query, 'exitPupil', 5, 10_000);
  if (Number.isNaN(exitPupilMm))
    return bad('exitPupil', 'exitPupil must be a number from 5 to 10000.');
  return {
    sensor,
    tone: tone === 'auto' ? tone : { kind: tone },
    fNumber,
    exitPupilMm,
    mostWorkBytes: MOST_WORK_BYTES,
  };
}

const TYPES = /^(image\/(jpeg|png|tiff|x-[\w.-]+)|application\/octet-stream)\b/i;

/** Reads the frame as it comes, and measures it in turn. */
async function measureBody(
  request: Request,
  options: FileOptions,
  inTurn: InTurn,
): Promise<Response> {
  const body = await readBody(request, MOST_FRAME_BYTES);
  if (typeof body === 'string') return refuseBody(body, 'The frame is over 64 MB.');
  const read = await inTurn(() => measured({ bytes: body, name: 'The frame', options }));
  if (!read.ok) return refuse(422, read.problems);
  const { measure, settings, tone } = read.value;
  return Response.json({ ...measure, settings, tone: tone.kind });
}

export async function answerMeasure(request: Request): Promise<Response> {
  const misled = refuseHost(request.headers);
  if (misled) return misled;
  if (!TYPES.test(request.headers.get('content-type') ?? ''))
    return refuse(
      415,
      one('mediaType', 'Send the frame as image/jpeg, image/png, image/tiff or octet-stream.'),
    );
  const options = optionsOf(new URL(request.url).searchParams);
  if (options instanceof Response) return options;
  const answer = queue((inTurn) => measureBody(request, options, inTurn));
  if (answer) return answer;
  return refuse(503, one('busy', 'Too many frames are waiting to be measured; try again.'), {
    'retry-after': '10',
  });
}
