'use client';
export { FailedRoom as default } from '@/shell/FailedRoom';
