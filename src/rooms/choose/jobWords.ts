/** What the questions of a job look like and are given. */
import styled from 'styled-components';
import type { Job } from '@/core/kit/records';

/** Words of a job in a line. */
export const Sentence = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 4px 6px;
  font-size: 15px;
  line-height: 1.5;
`;

export const Flags = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: 2px 16px;
  margin-top: 2px;
`;

export interface Asking {
  job: Job;
  onChange: (label: string, change: Partial<Job>) => void;
}

export interface JobSentenceProps extends Asking {
  /** Names of gear that is left out, by id. */
  leftOut: readonly { id: string; name: string }[];
}
