'use client';
import { recall, remember } from '@/store/remembered/remembered';
import { SideNote } from '@/ui/controls/roomLayout';
import { EntryField } from '@/ui/form/EntryField';

const KEY = 'wandering-halo-code-address';

/** What the code's address begins with: where this page is, unless told otherwise. */
export const codeAddress = (): string => recall(KEY) ?? window.location.origin;

/** An address of a server, without what may follow it; null where it is none. */
function originOf(text: string): string | null {
  try {
    const url = new URL(text.trim());
    return url.protocol === 'http:' || url.protocol === 'https:' ? url.origin : null;
  } catch {
    return null;
  }
}

const isHere = (address: string): boolean => /\/\/(localhost|127\.|\[::1\])/.test(address);

interface CodeAddressProps {
  address: string;
  /** Rigs that are too large for a code. */
  withoutCode: readonly string[];
  onAddress: (address: string) => void;
}

/** Where a phone that reads the code looks for the program. */
export function CodeAddress({ address, withoutCode, onAddress }: CodeAddressProps) {
  return (
    <>
      <EntryField
        label="Code opens at"
        shown={address}
        complain={(text) =>
          originOf(text) ? null : 'An address such as http://192.168.1.20:4270.'
        }
        onEnter={(text) => {
          const origin = originOf(text);
          if (!origin) return;
          remember(KEY, origin);
          onAddress(origin);
        }}
      />
      {isHere(address) && (
        <SideNote>
          This address answers on this machine alone. For phones, start the program with HOST set to
          an address of the network, and enter it here.
        </SideNote>
      )}
      {withoutCode.length > 0 && (
        <SideNote role="status">
          Too much is known of {withoutCode.join(', ')} for a code: save the workspace, or give the
          lens away as a file.
        </SideNote>
      )}
    </>
  );
}
