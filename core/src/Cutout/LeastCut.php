<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

/**
 * The minimum cut between a source and a sink, by Dinic's maximum flow algorithm ("Algorithm for solution of a problem of maximum flow in networks with
 * power estimation", 1970).
 */
final class LeastCut
{
    private const SOURCE = 0;

    private const SINK = 1;

    /** Residual capacity that counts as 0. */
    private const FULL = 1e-9;

    /** Cost of the cut. */
    public float $flow = 0.0;

    /** @var list<list<int>> outgoing arcs by node */
    private array $from;

    /** @var list<int> */
    private array $to = [];

    /** @var array<int, float> residual capacities; arc 2i + 1 is the reverse of arc 2i */
    private array $room = [];

    /** @var list<int> */
    private array $level = [];

    /** @var array<int, int> */
    private array $next = [];

    public function __construct(int $nodes)
    {
        $this->from = array_fill(0, $nodes + 2, []);
    }

    /** Costs of assigning a node to the sink's side, and to the source's. */
    public function node(int $node, float $onSink, float $onSource): void
    {
        $this->arc(self::SOURCE, $node + 2, $onSink, 0.0);
        $this->arc($node + 2, self::SINK, $onSource, 0.0);
    }

    /** Cost if the first node is on the source's side and the other on the sink's. */
    public function way(int $one, int $other, float $cost): void
    {
        $this->arc($one + 2, $other + 2, $cost, 0.0);
    }

    /** Cost of separating two nodes, in either direction. */
    public function edge(int $one, int $other, float $cost): void
    {
        $this->arc($one + 2, $other + 2, $cost, $cost);
    }

    /** @return list<bool> for each node, whether it is on the source's side */
    public function cut(): array
    {
        while ($this->levelled()) {
            $this->next = array_fill(0, count($this->from), 0);
            while (($pushed = $this->pushed()) > self::FULL) {
                $this->flow += $pushed;
            }
        }

        return array_map(fn (int $level): bool => $level >= 0, array_slice($this->level, 2));
    }

    private function arc(int $from, int $to, float $room, float $back): void
    {
        $this->from[$from][] = count($this->to);
        $this->to[] = $to;
        $this->room[] = $room;
        $this->from[$to][] = count($this->to);
        $this->to[] = $from;
        $this->room[] = $back;
    }

    /** The level graph: distance of each node from the source along arcs with residual capacity. */
    private function levelled(): bool
    {
        $this->level = array_fill(0, count($this->from), -1);
        $this->level[self::SOURCE] = 0;
        $queue = [self::SOURCE];
        for ($i = 0; $i < count($queue); $i++) {
            foreach ($this->from[$queue[$i]] as $arc) {
                $to = $this->to[$arc];
                if ($this->level[$to] < 0 && $this->room[$arc] > self::FULL) {
                    $this->level[$to] = $this->level[$queue[$i]] + 1;
                    $queue[] = $to;
                }
            }
        }

        return $this->level[self::SINK] >= 0;
    }

    /** Augments along one more path from source to sink; returns the amount. */
    private function pushed(): float
    {
        $way = [];
        $node = self::SOURCE;
        while ($node !== self::SINK) {
            $arc = $this->open($node);
            if ($arc !== null) {
                $way[] = $arc;
                $node = $this->to[$arc];
            } elseif ($way === []) {
                return 0.0;
            } else {
                // Dead end: go back and try the next arc.
                $last = array_pop($way);
                $node = $this->to[$last ^ 1];
                $this->next[$node]++;
            }
        }
        $flow = INF;
        foreach ($way as $arc) {
            $flow = min($flow, $this->room[$arc]);
        }
        foreach ($way as $arc) {
            $this->room[$arc] -= $flow;
            $this->room[$arc ^ 1] += $flow;
        }

        return $flow;
    }

    private function open(int $node): ?int
    {
        for (; $this->next[$node] < count($this->from[$node]); $this->next[$node]++) {
            $arc = $this->from[$node][$this->next[$node]];
            if ($this->room[$arc] > self::FULL && $this->level[$this->to[$arc]] === $this->level[$node] + 1) {
                return $arc;
            }
        }

        return null;
    }
}
