'use client';
import { useEffect, useState } from 'react';

/** Address of a file that was chosen, for as long as it is shown; empty for none. */
export function useFileUrl(file: File | null): string {
  const [url, setUrl] = useState('');
  useEffect(() => {
    if (!file) return;
    const own = URL.createObjectURL(file);
    setUrl(own);
    return () => {
      URL.revokeObjectURL(own);
      setUrl('');
    };
  }, [file]);
  return url;
}
