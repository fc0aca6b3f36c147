export default function Loading() {
  return <p className="p-10 text-lg text-quiet">Laying out the work …</p>;
}
