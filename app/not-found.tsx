import Link from 'next/link';

export default function NotFound() {
  return (
    <main style={{ padding: '3rem 1.25rem' }}>
      <h1>Nothing stands at this address</h1>
      <p>
        <Link href="/bench">Go to the Bench</Link>
      </p>
    </main>
  );
}
