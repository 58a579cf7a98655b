<?php

declare(strict_types=1);

namespace TallCrow\Cutout;

/** Shortest paths from every node to the nearest of several targets: E. W. Dijkstra, "A note on two problems in connexion with graphs", 1959. */
final readonly class ShortestWays
{
    /**
     * @param  array<int, array<int, float>>  $steps  symmetric edge lengths, by node and neighbour
     * @param  list<int>  $to
     * @param  float  $beyond  the distance to return for unreachable nodes
     * @return list<float> distances by node
     */
    public static function of(array $steps, int $nodes, array $to, float $beyond): array
    {
        $ways = array_fill(0, $nodes, $beyond);
        $queue = new \SplPriorityQueue;
        $queue->setExtractFlags(\SplPriorityQueue::EXTR_BOTH);
        foreach ($to as $node) {
            $ways[$node] = 0.0;
            $queue->insert($node, 0.0);
        }
        while (! $queue->isEmpty()) {
            /** @var array{data: int, priority: float} $next */
            $next = $queue->extract();
            foreach ($steps[$next['data']] ?? [] as $beside => $step) {
                if ($step - $next['priority'] < $ways[$beside]) {
                    $ways[$beside] = $step - $next['priority'];
                    $queue->insert($beside, -$ways[$beside]);
                }
            }
        }

        return array_values($ways);
    }
}
