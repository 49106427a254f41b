import { useEffect, useState } from 'react';
import { addressOf } from '../api/home';
import { store } from '../field/store';

/** A photograph: from this device where it was packed, else from the server. */
export function Photo({ id, words, className = '' }: { id: string; words: string; className?: string }) {
  const [address, setAddress] = useState<string>();
  useEffect(() => {
    let made = '';
    let current = true;
    void store.photos.get(id).then((kept) => {
      made = kept ? URL.createObjectURL(kept.picture) : '';
      if (current) {
        setAddress(made || addressOf(`/api/photos/${id}`));
      }
    });
    return () => {
      current = false;
      URL.revokeObjectURL(made);
    };
  }, [id]);
  return address ? <img src={address} alt={words} className={className} /> : null;
}
