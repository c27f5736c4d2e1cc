import { describe, expect, it } from 'vitest';
import { tideMill } from '../../demo';
import { jobQuery, readJobQuery } from './jobLink';
import { readSweepQuery, sweepQuery } from './sweepLink';

describe('a link to a job', () => {
  it('tells it whole, but for its note and what it leaves out', () => {
    for (const job of tideMill.jobs) {
      const { jobId, told } = readJobQuery(`?${jobQuery({ ...job, leaveOut: ['x'] })}`)!;
      expect(jobId).toBe(job.id);
      expect(told).toEqual({ ...job, note: '' });
    }
  });

  it('that cannot be read opens the job kept here, or none', () => {
    expect(readJobQuery('?rig=x')).toBeNull();
    expect(readJobQuery('?job=')).toBeNull();
    expect(readJobQuery('?job=a')).toEqual({ jobId: 'a', told: null });
    for (const told of ['{', '[]', '7', '{"viewFromMm":0,"viewToMm":9,"name":"n"}', '{"name":"n"}'])
      expect(readJobQuery(`?${new URLSearchParams({ job: 'a', told }).toString()}`)).toEqual({
        jobId: 'a',
        told: null,
      });
  });
});

describe('a link to a sweep', () => {
  it('goes out and comes back', () => {
    const link = { rigId: 'r', rows: 'mode', columns: 'aperture', against: 'lens:w50' } as const;
    expect(readSweepQuery(sweepQuery(link))).toEqual(link);
    const bare = { rigId: 'r', rows: null, columns: null, against: null };
    expect(readSweepQuery(sweepQuery(bare))).toEqual(bare);
  });

  it('leaves out what is no axis, and one axis twice', () => {
    expect(readSweepQuery('rig=r&down=colour&across=focal')).toMatchObject({
      rows: null,
      columns: 'focal',
    });
    expect(readSweepQuery('rig=r&down=focal&across=focal')?.rows).toBeNull();
    expect(readSweepQuery('down=focal')).toBeNull();
  });
});
