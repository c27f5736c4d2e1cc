/** What to do when whoever reads the output has gone. */

/** `halo … | head` closes the pipe early: that is no fault, and there is nobody left to tell. */
export function endWithReader(stream: NodeJS.WriteStream): void {
  stream.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EPIPE') process.exit(0);
    throw error;
  });
}
