/** Where this device is. Rejects with words that say what stands in the way, without what to do instead. */
export function whereWeAre(maximumAgeMs: number): Promise<GeolocationCoordinates> {
  return new Promise((resolve, reject) =>
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => resolve(coords),
      (error) =>
        reject(new Error(error.code === error.PERMISSION_DENIED ? 'This device may not say where it is.' : 'No fix yet.')),
      { enableHighAccuracy: true, timeout: 20_000, maximumAge: maximumAgeMs },
    ),
  );
}
