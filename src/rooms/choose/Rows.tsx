'use client';
import { measureElement, useVirtualizer, type VirtualizerOptions } from '@tanstack/react-virtual';
import { useRef } from 'react';
import styled from 'styled-components';
import { candidateKey, type Candidate } from '@/core/choose';
import type { Job, Workspace } from '@/core/kit/records';
import { engraved, PHONE } from '@/ui/theme/type';
import { CandidateRow, ROW_COLUMNS } from './CandidateRow';
import type { Item } from './listing';
import type { Namer } from './names';
import { ViewHeads } from './ViewScale';

const Scroller = styled.div`
  flex: 1;
  min-height: 0;
  overflow: hidden auto;
  @media ${PHONE} {
    max-height: 70vh;
  }
`;

const Heads = styled.div`
  ${engraved}
  display: grid;
  grid-template-columns: ${ROW_COLUMNS};
  align-items: end;
  gap: 0 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
  color: var(--muted);
  font-size: 12px;
  span {
    text-align: right;
  }
  @media ${PHONE} {
    display: none;
  }
`;

const Heading = styled.h3`
  padding: 12px 0 3px;
  border-bottom: 1px solid var(--line);
  font-weight: 650;
  color: var(--muted);
`;

const ROW_PX = 76;

/**
 * A row is taken as high as it was, or as rows are, until the browser tells its height of itself: to ask for it
 * while rows are put in would lay the page out in between.
 */
const heightOf: VirtualizerOptions<HTMLDivElement, HTMLDivElement>['measureElement'] = (
  row,
  entry,
  rows,
) =>
  entry
    ? measureElement(row, entry, rows)
    : (rows.measurementsCache[rows.indexFromElement(row)]?.size ?? ROW_PX);

interface RowsProps {
  label: string;
  items: readonly Item[];
  job: Job;
  workspace: Workspace;
  nameOf: Namer;
  shortlist: ReadonlySet<string>;
  chosen: string | null;
  onShortlist: (candidate: Candidate) => void;
  onOpen: (candidate: Candidate) => void;
  onLeaveOut: (id: string, name: string) => void;
  onFold: (key: string) => void;
}

/** The rows, of which only those in sight are drawn. */
export function Rows(props: RowsProps) {
  const { label, items, job, workspace, nameOf, shortlist, chosen } = props;
  const { onShortlist, onOpen, onLeaveOut, onFold } = props;
  const scroller = useRef<HTMLDivElement>(null);
  const lines = useVirtualizer<HTMLDivElement, HTMLDivElement>({
    count: items.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 1,
    measureElement: heightOf,
    getItemKey: (i) => {
      const item = items[i];
      if (!item) return i;
      return item.kind === 'heading' ? `heading ${item.id}` : candidateKey(item.candidate);
    },
  });
  return (
    <>
      <Heads aria-hidden="true">
        <i />
        <i />
        <ViewHeads job={job} />
        <span>light</span>
        <span>mass</span>
        <span>price</span>
        <span>risk</span>
        <i />
        <i />
      </Heads>
      <Scroller ref={scroller} role="list" aria-label={label} tabIndex={0}>
        <div style={{ height: lines.getTotalSize(), position: 'relative' }}>
          {lines.getVirtualItems().map(({ index, key, start }) => {
            const item = items[index];
            if (!item) return null;
            return (
              <div
                key={key}
                role="listitem"
                ref={lines.measureElement}
                data-index={index}
                style={{
                  position: 'absolute',
                  // No row changes how another is laid out.
                  contain: 'layout style',
                  left: 0,
                  right: 0,
                  transform: `translateY(${start}px)`,
                }}
              >
                {item.kind === 'heading' ? (
                  <Heading>{item.words}</Heading>
                ) : (
                  <CandidateRow
                    candidate={item.candidate}
                    behind={item.behind}
                    areShown={item.areShown}
                    isBehind={item.isBehind}
                    job={job}
                    workspace={workspace}
                    nameOf={nameOf}
                    isShortlisted={shortlist.has(candidateKey(item.candidate))}
                    isChosen={chosen === candidateKey(item.candidate)}
                    onShortlist={onShortlist}
                    onOpen={onOpen}
                    onLeaveOut={onLeaveOut}
                    onFold={onFold}
                  />
                )}
              </div>
            );
          })}
        </div>
      </Scroller>
    </>
  );
}
