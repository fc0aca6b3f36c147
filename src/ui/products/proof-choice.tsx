'use client';

import type { ProductDraft } from '@/core/process/product-draft';
import { PROOF_SCHOOLS } from '@/core/process/proof-school';
import { withProof } from '@/core/process/proof-schools';
import { Choice } from '../kit/field';
import { useWords } from '../kit/words';

interface Props {
  draft: ProductDraft;
  onChange: (part: Pick<ProductDraft, 'output' | 'rises'>) => void;
}

/** Puts the steps of another proof in place of those that are there. */
export function ProofChoice({ draft, onChange }: Props) {
  const say = useWords();
  const schools = PROOF_SCHOOLS.map((id) => ({
    id,
    name: say('common.proofOf', { school: id.replaceAll('-', '_') }),
  }));
  return (
    <div className="max-w-md">
      <Choice
        label={say('product.changeTheProof')}
        value=""
        options={[{ id: '', name: say('product.asBelow') }, ...schools]}
        onChoose={(chosen) => {
          const school = PROOF_SCHOOLS.find((id) => id === chosen);
          if (school) onChange(withProof(draft, school, say.coded));
        }}
      />
    </div>
  );
}
