import { useQueryClient } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { readDocumentText } from '@larchwood/core';
import { FILE_SUFFIX, LARGEST_DOCUMENT, type Fault } from '@larchwood/format';
import { builds } from '../api/builds';
import { ApiProblem } from '../api/client';
import { Button } from '../parts/Button';
import { FaultsDialog, type RefusedFile } from '../parts/FaultsDialog';

/** Opens a build file; one that cannot be read is refused with the path of each fault, and nothing changes. */
export function ImportButton() {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const input = useRef<HTMLInputElement>(null);
  const [refused, setRefused] = useState<RefusedFile>();

  const take = async (file: File) => {
    const refuse = (faults: readonly Fault[]) => setRefused({ file: file.name, faults });
    if (file.size > LARGEST_DOCUMENT) {
      return refuse([
        {
          path: '/',
          message: `This file is ${(file.size / 1048576).toFixed(1)} MB; a build is never more than ${LARGEST_DOCUMENT / 1048576} MB.`,
        },
      ]);
    }
    const text = await file.text();
    const read = readDocumentText(text);
    if (!read.ok) return refuse(read.faults);
    try {
      const build = await builds.importText(text);
      await queries.invalidateQueries({ queryKey: ['builds'] });
      void navigate(`/builds/${build.id}/stance`);
    } catch (error) {
      const problem = error instanceof ApiProblem ? error.problem : undefined;
      refuse(problem?.faults ?? [{ path: '/', message: problem?.message ?? 'The file could not be sent.' }]);
    }
  };

  return (
    <>
      <input
        ref={input}
        type="file"
        accept={`.json,${FILE_SUFFIX}`}
        className="hidden"
        aria-label="Build file"
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      <Button onClick={() => input.current?.click()}>Open a file</Button>
      <FaultsDialog refused={refused} taken="opened" onClose={() => setRefused(undefined)} />
    </>
  );
}
