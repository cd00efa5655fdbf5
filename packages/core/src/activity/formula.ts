import jsep from 'jsep';

type Node = ReturnType<typeof jsep>;

const FUNCTIONS: Readonly<Record<string, (...n: number[]) => number>> = {
  round: Math.round,
  floor: Math.floor,
  ceil: Math.ceil,
  abs: Math.abs,
  min: Math.min,
  max: Math.max,
  sqrt: Math.sqrt,
};
const OPERATORS: Readonly<Record<string, (a: number, b: number) => number>> = {
  '+': (a, b) => a + b,
  '-': (a, b) => a - b,
  '*': (a, b) => a * b,
  '/': (a, b) => a / b,
  '%': (a, b) => a % b,
};

class Bad extends Error {}

/** Works only on numbers, the names given and the functions above: nothing else of a formula is ever run. */
function work(node: Node, names: ReadonlyMap<string, number>): number {
  const n = node as Record<string, unknown> & Node;
  switch (node.type) {
    case 'Literal':
      if (typeof n['value'] === 'number') return n['value'];
      throw new Bad(`“${String(n['raw'])}” is no number.`);
    case 'Identifier': {
      const value = names.get(String(n['name']));
      if (value === undefined) throw new Bad(`“${String(n['name'])}” is none of the numbers named.`);
      return value;
    }
    case 'UnaryExpression': {
      const value = work(n['argument'] as Node, names);
      if (n['operator'] === '-') return -value;
      if (n['operator'] === '+') return value;
      throw new Bad(`“${String(n['operator'])}” is not understood.`);
    }
    case 'BinaryExpression': {
      const by = OPERATORS[String(n['operator'])];
      if (!by) throw new Bad(`“${String(n['operator'])}” is not understood. Use + - * / % and brackets.`);
      return by(work(n['left'] as Node, names), work(n['right'] as Node, names));
    }
    case 'CallExpression': {
      const name = String((n['callee'] as Record<string, unknown>)['name']);
      const by = Object.hasOwn(FUNCTIONS, name) ? FUNCTIONS[name] : undefined;
      if (!by) throw new Bad(`“${name}” is not known. Known are ${Object.keys(FUNCTIONS).join(', ')}.`);
      return by(...(n['arguments'] as Node[]).map((a) => work(a, names)));
    }
    default:
      throw new Bad('This is no formula. Write for example a * b - 2.');
  }
}

/** The value of a formula over named numbers, or what is wrong with it in words. Never throws. */
export function valueOf(
  formula: string,
  names: Readonly<Record<string, number>>,
): { readonly value: number } | { readonly problem: string } {
  try {
    const value = work(jsep(formula), new Map(Object.entries(names)));
    return Number.isFinite(value) ? { value } : { problem: 'The formula divides by nothing.' };
  } catch (error) {
    return { problem: error instanceof Bad ? error.message : 'This is no formula. Write for example a * b - 2.' };
  }
}
