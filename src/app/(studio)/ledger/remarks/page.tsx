import { remarksOf } from '@/studio/critique/remarks';
import { FileReaderButton } from '@/ui/parts/FileReaderButton';
import { RemarkList } from '@/ui/remarks/RemarkList';
import { teacherOnly } from '../../../access';
import { keepOne, readRemarks, removeOne } from './actions';

export default async function Remarks() {
  const { house, teacher } = await teacherOnly();
  return (
    <div className="p-4">
      <section className="panel">
        <div className="mb-3 flex items-center gap-3">
          <h1 className="text-24 font-semibold">Your remarks</h1>
          <a className="calm ml-auto" href="/remarks">
            As CSV
          </a>
          <FileReaderButton label="Read a CSV" send={readRemarks} />
        </div>
        <p className="quiet mb-3">
          What you say often, and no measurement can: put into a letter on the Table with <kbd>n</kbd>, by its key.
        </p>
        <RemarkList remarks={await remarksOf(house, teacher)} keep={keepOne} remove={removeOne} />
      </section>
    </div>
  );
}
