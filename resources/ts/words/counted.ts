/** A number with its noun in singular or plural: "1 shirt", "3 shirts". */
export function counted(many: number, one: string, several = `${one}s`): string {
    return `${many} ${many === 1 ? one : several}`;
}
