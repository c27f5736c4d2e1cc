'use client';
import type { Workspace } from '@/core/kit/records/workspace';
import { ImportDialog } from './ImportDialog';
import type { useFiles } from './useFiles';

interface OpenFileProps {
  files: ReturnType<typeof useFiles>;
  here: Workspace;
}

/** The browser's file picker, and what a picked file would bring. */
export function OpenFile({ files, here }: OpenFileProps) {
  return (
    <>
      <input
        ref={files.input}
        type="file"
        accept=".json,application/json"
        hidden
        aria-label="Workspace file"
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void files.read(file);
        }}
      />
      {files.pending && (
        <ImportDialog
          pending={files.pending}
          here={here}
          onChoose={files.write}
          onClose={files.leave}
        />
      )}
    </>
  );
}
