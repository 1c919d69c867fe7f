import { useEffect, useRef, useState } from "react";

/**
 * The address of a picture that has arrived: the newest that was asked for, one fetched after the other, so that
 * one that changes faster than it comes is seen all the same.
 */
export function useLoaded(address: string | null): string | null {
  const [loaded, setLoaded] = useState<string | null>(null);
  const newest = useRef(address);
  const busy = useRef(false);
  useEffect(() => {
    newest.current = address;
    const fetchNewest = () => {
      const now = newest.current;
      if (busy.current || now === null) return;
      busy.current = true;
      const image = new Image();
      const done = (arrived: boolean) => {
        busy.current = false;
        if (arrived) setLoaded(now);
        if (newest.current !== now) fetchNewest();
      };
      image.onload = () => done(true);
      image.onerror = () => done(false);
      image.src = now;
    };
    fetchNewest();
  }, [address]);
  return loaded;
}
