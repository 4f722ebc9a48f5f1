import { AsidesSchema } from "../deal-document/asides.schema";
import { DealDocumentSchema } from "../deal-document/document.schema";
import { LeaseFileSchema, LoanFileSchema } from "../deal-file/deal-file.schema";

/** What of a value customers may see: all of it, some of its members, or of each of those that it has under ids. */
type SeenTree = true | { [member: string]: SeenTree };

type Schema = {
  properties?: Record<string, Schema & { forCustomers?: boolean }>;
  patternProperties?: Record<string, Schema>;
  items?: Schema;
  anyOf?: readonly Schema[];
  oneOf?: readonly Schema[];
};

/** The members of a deal and of what is beside it; an option's inputs are the file of its kind. */
const SCHEMAS: Record<string, Schema> = {
  "/options/inputs": { anyOf: [LoanFileSchema, LeaseFileSchema] as unknown as Schema[] },
  "/asides": AsidesSchema as unknown as Schema,
};

/** The place of what stands under any id. */
const EACH = "*";

const DEAL = DealDocumentSchema as unknown as Schema;

/** What customers may see of a deal, by the marks of its schemas. */
export const seenOfDeal = (): SeenTree => treeOf(DEAL, "");

/** A member of a deal, by its place, and whether customers may see it; undefined where its schema does not say. */
type Place = { place: string; mark: boolean | undefined };

/** All members of a deal; a list has the place of what is in it. What is within one that is never seen is not looked at. */
export const placesOfDeal = (): Place[] => placesIn(DEAL, "");

type Member = { name: string; schema: Schema; mark: boolean | undefined; place: string };

/** The members of an object; of one of several, and of what stands in a list, nothing. */
const membersOf = ({ properties = {}, patternProperties = {} }: Schema, place: string): Member[] => [
  ...Object.entries(properties).map(([name, member]) => {
    const at = `${place}/${name}`;
    return { name, schema: SCHEMAS[at] ?? member, mark: member.forCustomers, place: at };
  }),
  // Whoever may see what is known by ids may see each of it.
  ...Object.values(patternProperties).map(each => ({
    name: EACH,
    schema: each,
    mark: true,
    place: `${place}/${EACH}`,
  })),
];

const branchesOf = ({ items, anyOf = [], oneOf = [] }: Schema): Schema[] => [
  ...(items ? [items] : []),
  ...anyOf,
  ...oneOf,
];

const placesIn = (schema: Schema, place: string): Place[] => [
  ...membersOf(schema, place).flatMap(member => [
    { place: member.place, mark: member.mark },
    ...(member.mark === false ? [] : placesIn(member.schema, member.place)),
  ]),
  ...branchesOf(schema).flatMap(branch => placesIn(branch, place)),
];

function treeOf(schema: Schema, place: string): SeenTree {
  const branches = branchesOf(schema);
  if (branches.length > 0) return branches.map(branch => treeOf(branch, place)).reduce(both);
  const members = membersOf(schema, place);
  if (members.length === 0) return schema.properties ? {} : true;
  return Object.fromEntries(
    members.filter(({ mark }) => mark === true).map(each => [each.name, treeOf(each.schema, each.place)]),
  );
}

/** What may be seen of a value that is one of two. */
function both(one: SeenTree, other: SeenTree): SeenTree {
  if (one === true) return other;
  if (other === true) return one;
  const names = Object.keys({ ...one, ...other });
  return Object.fromEntries(names.map(name => [name, both(one[name] ?? true, other[name] ?? true)]));
}
