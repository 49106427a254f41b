import { useParams } from '@tanstack/react-router';

export function ReportPage() {
  const { water } = useParams({ from: '/record/report/$water' });
  return <p>{water}</p>;
}
