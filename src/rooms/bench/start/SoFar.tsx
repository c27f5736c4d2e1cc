'use client';
import { verdictWords } from '@/core/frame';
import { Unlink } from 'lucide-react';
import styled from 'styled-components';
import type { Started } from '@/core/kit/starter';
import type { Report } from '@/core/rig/report';
import { problemText, type Result, riskWords } from '@/core/words';
import { MainButton } from '@/ui/controls/Buttons';
import { inkOf, VerdictMark } from '@/ui/marks/VerdictMark';
import { PHONE } from '@/ui/theme/type';

const Side = styled.aside`
  border-left: 1px solid var(--line);
  padding: 20px 18px;
  overflow-y: auto;
  display: grid;
  gap: 14px;
  align-content: start;
  h2 {
    color: var(--muted);
  }
  @media ${PHONE} {
    display: contents;
  }
`;

const Told = styled.div`
  display: grid;
  gap: 10px;
  @media ${PHONE} {
    padding: 0 14px 16px;
  }
`;

const Judged = styled.div`
  display: flex;
  align-items: center;
  gap: 12px;
  strong {
    display: block;
    font-size: 22px;
    line-height: 1.1;
    font-weight: 700;
  }
  small {
    color: var(--muted);
    font-size: 12px;
  }
`;

/* On a phone the verdict and the way on stay in sight over the row of rooms. */
const Going = styled.div`
  display: grid;
  gap: 12px;
  @media ${PHONE} {
    position: sticky;
    bottom: calc(46px + env(safe-area-inset-bottom));
    z-index: 10;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    padding: 8px 14px;
    background: var(--ground);
    border-top: 1px solid var(--line);
  }
`;

const Sentence = styled.p`
  font-size: 15px;
  line-height: 1.35;
`;

const Quiet = styled.div`
  color: var(--muted);
  ul {
    margin-top: 2px;
    padding-left: 14px;
    list-style: '– ';
  }
`;

const Trouble = styled.p`
  color: var(--clipped);
  overflow-wrap: anywhere;
`;

interface SoFarProps {
  found: Result<Started>;
  report: Report | null;
  isBusy: boolean;
  onTake: () => void;
}

/** The verdict as the answers stand, what it takes for granted, and the way to the Bench. */
export function SoFar({ found, report, isBusy, onTake }: SoFarProps) {
  return (
    <Side aria-label="The answer so far">
      <Going>
        <div role="status">
          {report ? (
            <Judged>
              {report.fitProblem ? (
                <Unlink size={38} strokeWidth={1.5} color="var(--clipped)" aria-hidden="true" />
              ) : (
                <VerdictMark face={report.verdict} size={38} />
              )}
              <span>
                <strong
                  style={{
                    color: report.fitProblem ? 'var(--clipped)' : inkOf(report.verdict),
                  }}
                >
                  {report.fitProblem?.words ?? verdictWords(report.verdict)}
                </strong>
                <small>
                  risk {riskWords(report.verdict.risk)} · {report.halo.evidence.kind}
                </small>
              </span>
            </Judged>
          ) : (
            <Trouble>{found.ok ? '' : problemText(found.problems)}</Trouble>
          )}
        </div>
        <MainButton isDisabled={!found.ok || isBusy} onPress={onTake}>
          Put it on the Bench
        </MainButton>
      </Going>
      {report && found.ok && (
        <Told>
          <Sentence>{report.verdict.sentence}</Sentence>
          {found.value.taken.length > 0 && (
            <Quiet>
              Taken as usual, until you say:
              <ul>
                {found.value.taken.map((words) => (
                  <li key={words}>{words}</li>
                ))}
              </ul>
            </Quiet>
          )}
          {found.value.taken.length === 0 && report.surer && <Quiet>{report.surer}</Quiet>}
        </Told>
      )}
    </Side>
  );
}
