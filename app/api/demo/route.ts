import { answerDemo } from '@/api/demoRequest';
import { onlyGet } from '@/api/requests';

/** Asked anew each time: it is the start that tells. */
export const dynamic = 'force-dynamic';
export const GET = answerDemo;
export { onlyGet as DELETE, onlyGet as PATCH, onlyGet as POST, onlyGet as PUT };
