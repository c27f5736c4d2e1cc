'use client';
import { FolderOpen } from 'lucide-react';
import { useRef } from 'react';
import { styled } from 'styled-components';
import { LineButton } from '../controls/Buttons';

const Icon = styled(FolderOpen)`
  vertical-align: -2px;
`;

interface FilePickerProps {
  /** What stands on the button. */
  children: React.ReactNode;
  /** What the files are, spoken. */
  label: string;
  accept: string;
  multiple?: boolean;
  onFiles: (files: File[]) => void;
}

/** A button that opens the browser's file picker. */
export function FilePicker({ children, label, accept, multiple, onFiles }: FilePickerProps) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <span>
      <input
        ref={input}
        type="file"
        hidden
        multiple={multiple}
        accept={accept}
        aria-label={label}
        onChange={(event) => {
          const files = [...(event.target.files ?? [])];
          event.target.value = '';
          if (files.length > 0) onFiles(files);
        }}
      />
      <LineButton onPress={() => input.current?.click()}>
        <Icon size={14} aria-hidden="true" /> {children}
      </LineButton>
    </span>
  );
}
