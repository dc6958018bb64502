import { useNavigate } from 'react-router';
import { comparisonsApi } from '../api/client.ts';
import { freshDocument } from '../store/content.ts';
import { notify } from './notices.tsx';

/** Makes a new comparison and goes there. */
export function useNewComparison(): () => void {
  const navigate = useNavigate();
  return () => {
    void comparisonsApi.create(freshDocument()).then((reply) => {
      if (reply.ok) void navigate(`/c/${reply.value.id}`);
      else notify(`A new comparison could not be made. ${reply.detail}`);
    });
  };
}
