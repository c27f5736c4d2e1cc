import { answerEvaluate } from '@/api/evaluateRequest';
import { onlyPost } from '@/api/requests';

export const POST = answerEvaluate;
export {
  onlyPost as DELETE,
  onlyPost as GET,
  onlyPost as HEAD,
  onlyPost as OPTIONS,
  onlyPost as PATCH,
  onlyPost as PUT,
};
