import { writeFileSync } from 'node:fs';
import openapiTS, { astToString, stringToAST } from 'openapi-typescript';

/** Writes the contract as types: a map whose keys are of a list has just these. */
const [contract, types] = ['../api/openapi.json', 'src/api/schema.d.ts'].map(
  (path) => new URL(path, import.meta.url),
);

const HEAD = `// Written by "npm run api" from the contract; not to be changed by hand.

/** "coat.#.base" stands for coat.1.base, coat.2.base … */
type Numbered<K extends string> = K extends \`\${infer A}#\${infer B}\`
  ? \`\${A}\${number}\${B}\`
  : K;

`;

/** The type of a map that says what its keys are, and of what they are keys. */
function keyed(schema) {
  const [keys, values] = [schema.propertyNames.$ref, schema.additionalProperties.$ref].map(
    (reference) => `components['schemas']['${reference.split('/').at(-1)}']`,
  );
  return stringToAST(`type T = { [key in Numbered<${keys}>]?: ${values} }`)[0].type;
}

const ast = await openapiTS(contract, {
  transform: (schema) => (schema.propertyNames ? keyed(schema) : undefined),
});
writeFileSync(types, HEAD + astToString(ast));
