'use client';
import { ImportDialog } from './ImportDialog';
import type { useFiles } from './useFiles';

interface OpenFileProps {
  files: ReturnType<typeof useFiles>;
}

/** The browser's file picker, and what a picked file would bring. */
export function OpenFile({ files }: OpenFileProps) {
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
          if (file) files.read(file);
        }}
      />
      {files.pending && (
        <ImportDialog pending={files.pending} onChoose={files.write} onClose={files.leave} />
      )}
    </>
  );
}
