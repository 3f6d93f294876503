import { classValidatorResolver } from '@hookform/resolvers/class-validator';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { CreateBuildRequest } from '@larchwood/contract';
import { KINDS } from '@larchwood/core';
import { builds } from '../api/builds';
import { Button } from '../parts/Button';
import { Dialog } from '../parts/Dialog';

const resolver = classValidatorResolver(CreateBuildRequest);
const UNITS = [
  { value: 'mm', label: 'Millimetres' },
  { value: 'inch', label: 'Inches, decimal' },
  { value: 'fraction', label: 'Inches, fractions' },
] as const;

const firstSet = (kind: string): string => KINDS.find(({ id }) => id === kind)?.startingSets[0]?.id ?? '';

/** Kind, name, starting set and units: a build to begin with. */
export function NewBuildDialog({ onClose }: { readonly onClose: () => void }) {
  const queries = useQueryClient();
  const navigate = useNavigate();
  const form = useForm<CreateBuildRequest>({
    resolver,
    defaultValues: { name: '', kind: KINDS[0]!.id, startingSet: firstSet(KINDS[0]!.id), length: 'mm' },
  });
  // eslint-disable-next-line react-hooks/incompatible-library -- the form library's own way to follow a field
  const kind = KINDS.find((candidate) => candidate.id === form.watch('kind'));
  const create = useMutation({
    mutationFn: (request: CreateBuildRequest) => builds.create(request),
    onSuccess: async (build) => {
      await queries.invalidateQueries({ queryKey: ['builds'] });
      void navigate(`/builds/${build.id}/brief`);
    },
  });
  const { errors } = form.formState;
  return (
    <Dialog
      open
      onClose={onClose}
      title="New build"
      about="A starting set gives plausible numbers to begin with. Everything but the kind can be changed afterwards."
      wide
    >
      <form
        className="flex flex-col gap-5"
        onSubmit={form.handleSubmit((request) => create.mutate(request))}
        noValidate
      >
        <label className="flex flex-col gap-1">
          <span className="font-semibold">Name</span>
          <input
            autoFocus
            className={`border bg-paper px-3 py-2 ${errors.name ? 'border-brick' : 'border-rule'}`}
            placeholder="e.g. Canal commuter"
            {...form.register('name')}
            aria-invalid={errors.name !== undefined}
          />
          {errors.name && (
            <span role="alert" className="text-brick">
              {errors.name.message}
            </span>
          )}
        </label>
        <div className="grid grid-cols-2 gap-8 max-[640px]:grid-cols-1">
          <Radios
            legend="Kind"
            options={KINDS.map(({ id, name }) => ({ value: id, label: name }))}
            field={form.register('kind', {
              onChange: () => form.setValue('startingSet', firstSet(form.getValues('kind'))),
            })}
          />
          <div className="flex flex-col gap-5">
            <Radios
              legend="Starting set"
              options={(kind?.startingSets ?? []).map(({ id, name, about }) => ({
                value: id,
                label: name,
                about,
              }))}
              field={form.register('startingSet')}
            />
            <Radios legend="Units shown" options={UNITS} field={form.register('length')} />
          </div>
        </div>
        {create.isError && (
          <p role="alert" className="text-brick">
            {create.error.message} Nothing was made; try again.
          </p>
        )}
        <div className="flex justify-end gap-3">
          <Button look="quiet" onClick={onClose}>
            Leave it
          </Button>
          <Button look="strong" type="submit" disabled={create.isPending}>
            Make the build
          </Button>
        </div>
      </form>
    </Dialog>
  );
}

interface RadiosProps {
  readonly legend: string;
  readonly options: readonly { readonly value: string; readonly label: string; readonly about?: string }[];
  readonly field: object;
}

function Radios({ legend, options, field }: RadiosProps) {
  return (
    <fieldset>
      <legend className="mb-1 font-semibold">{legend}</legend>
      <div className="rows border-y border-rule">
        {options.map((option) => (
          <label key={option.value} className="flex items-baseline gap-2 py-1.5">
            <input type="radio" value={option.value} className="accent-larch" {...field} />
            <span>
              {option.label}
              {option.about !== undefined && <span className="caption block">{option.about}</span>}
            </span>
          </label>
        ))}
      </div>
    </fieldset>
  );
}
