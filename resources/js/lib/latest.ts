/**
 * Asks for heavy work one piece after another: the server does one of an account at a time, and puts off the next. What was
 * asked for meanwhile is not sent any more, and what is answered too late is told to nobody: only the last counts.
 */
export class Latest {
    private turn = 0;
    private underWay: Promise<unknown> = Promise.resolve();

    /** @returns null where something else was asked for meanwhile */
    async ask<T>(send: () => Promise<T>): Promise<T | null> {
        const turn = ++this.turn;
        await this.underWay;
        if (turn !== this.turn) {
            return null;
        }
        const answer = send();
        this.underWay = answer.catch(() => undefined);
        try {
            const said = await answer;
            return turn === this.turn ? said : null;
        } catch (failed) {
            if (turn === this.turn) {
                throw failed;
            }
            return null;
        }
    }
}
