import { answerMeasure } from '@/api/measureRequest';
import { onlyPost } from '@/api/requests';

export const POST = answerMeasure;
export {
  onlyPost as DELETE,
  onlyPost as GET,
  onlyPost as HEAD,
  onlyPost as OPTIONS,
  onlyPost as PATCH,
  onlyPost as PUT,
};
