import { useEffect, useRef, useState } from 'react';

interface Detector {
  detect(source: HTMLVideoElement): Promise<{ rawValue: string }[]>;
}
declare global {
  interface Window {
    BarcodeDetector?: new (options: { formats: string[] }) => Detector;
  }
}

/** True where this browser can read a code through its camera; elsewhere the bottle is chosen from the list. */
export function canScan(): boolean {
  return window.BarcodeDetector !== undefined && navigator.mediaDevices !== undefined;
}

/** Reads the code of a printed label through the camera. */
export function ScanLabel({ onRead }: { onRead: (number: string) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [problem, setProblem] = useState('');
  // biome-ignore lint/correctness/useExhaustiveDependencies: the camera is opened once
  useEffect(() => {
    let stream: MediaStream | undefined;
    let timer: ReturnType<typeof setInterval> | undefined;
    let ended = false;
    void (async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
        if (ended || !video.current || !window.BarcodeDetector) {
          return;
        }
        video.current.srcObject = stream;
        await video.current.play();
        const detector = new window.BarcodeDetector({ formats: ['qr_code'] });
        timer = setInterval(async () => {
          const [code] = video.current ? await detector.detect(video.current).catch(() => []) : [];
          if (code && !ended) {
            onRead(code.rawValue.trim());
          }
        }, 250);
      } catch {
        setProblem('The camera could not be opened. Choose the bottle from the list.');
      }
    })();
    return () => {
      ended = true;
      clearInterval(timer);
      for (const track of stream?.getTracks() ?? []) {
        track.stop();
      }
    };
  }, []);
  return problem ? (
    <p className="mt-2" role="alert">
      {problem}
    </p>
  ) : (
    <video ref={video} className="mt-2 max-h-64 w-full bg-paper2 object-cover" playsInline muted />
  );
}
