'use client';
import type { ReactNode } from 'react';
import { LineButton } from '@/ui/controls/Buttons';
import { EmptyPlace, FirstActs } from '@/ui/controls/EmptyPlace';
import { SaveReadable } from './SaveReadable';

interface FailedPlaceProps {
  heading: string;
  words: string;
  /** What can be tried, before what is here is saved. */
  children: ReactNode;
}

/** What stands in place of a room that cannot be opened or drawn: what is stored can be saved from it. */
export function FailedPlace({ heading, words, children }: FailedPlaceProps) {
  return (
    <EmptyPlace role="alert">
      <h1>{heading}</h1>
      <p>{words}</p>
      <FirstActs>
        {children}
        <SaveReadable />
      </FirstActs>
    </EmptyPlace>
  );
}

interface FailedRoomProps {
  error: Error;
  /** Draws the room anew. */
  reset: () => void;
}

/** A room that the program failed to draw. */
export const FailedRoom = ({ error, reset }: FailedRoomProps) => (
  <FailedPlace
    heading="This room could not be drawn"
    words={`Something went wrong in the program itself: ${error.message || 'it does not say what'}. What is stored is safe, and the other rooms may open.`}
  >
    <LineButton onPress={reset}>Draw it anew</LineButton>
  </FailedPlace>
);
