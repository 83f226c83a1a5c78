import { useMutation, type UseMutationOptions, type UseMutationResult } from '@tanstack/react-query';
import { useEffect, useRef, useSyncExternalStore } from 'react';
import { sync } from './opened.ts';
import type { Writing } from './queue/queuedWrite.ts';
import { WriteRefused, type SyncState } from './queue/Sync.ts';

/** What of this browser's writes waits, and what was refused. */
export function useSyncState(): SyncState {
  return useSyncExternalStore(sync.subscribe, sync.snapshot);
}

/**
 * A write from a form or a button: kept first, then sent. While the server is away it waits, and the shell says so. What is
 * refused is known by the page that waits for it; where that page is gone it stays on the rejectedWrites.
 */
export function useWrite<T, V = void>(
  writing: (value: V) => Writing,
  options: Omit<UseMutationOptions<T, Error, V>, 'mutationFn'> = {},
): UseMutationResult<T, Error, V> {
  const isOpen = useRef(false);
  useEffect(() => {
    isOpen.current = true;
    return () => {
      isOpen.current = false;
    };
  }, []);
  return useMutation({
    ...options,
    networkMode: 'always',
    mutationFn: async (value: V) => {
      try {
        return await write<T>(writing(value));
      } catch (error) {
        if (error instanceof WriteRefused && isOpen.current) await sync.unreject(error.rejected.write.id);
        throw error;
      }
    },
  });
}

/** Writes and gives the server's answer. @throws WriteRefused, and the write stays on the rejectedWrites. */
export function write<T>(writing: Writing): Promise<T> {
  return sync.write<T>(writing);
}
