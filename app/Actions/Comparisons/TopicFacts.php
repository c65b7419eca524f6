<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Meaning\Topics;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\GroundIndex;

/** What only all keywords together tell of each: its topic, whether we have a page for it, and our ground there. */
final readonly class TopicFacts
{
    /**
     * @param list<int>       $topicOf keyword → the place of its topic in taking order
     * @param array<int, int> $chosen  keyword → number of the topic that counts, where a person chose it
     * @param array<int, int> $holders topic that counts → bits of the domains that have a page for it
     */
    public function __construct(
        private Topics $topics,
        private GroundIndex $grounds,
        private array $topicOf,
        private array $chosen,
        private array $holders,
    ) {
    }

    public function topics(): int
    {
        return $this->topics->count();
    }

    /** @return \Generator<int, string> a line for each keyword, in key order: 1 where we have a page, our ground, the topic */
    public function lines(): \Generator
    {
        $number = 0;
        foreach ($this->topics->byKeyword() as $topic) {
            $found = $this->topicOf[$number];
            $ground = $this->grounds->own($found);
            $hasPage = ($this->holders[$this->chosen[$number] ?? $found] ?? 0) & 1;
            ++$number;
            yield "{$hasPage}\t{$ground->held}\t{$ground->of}\t{$topic}\n";
        }
    }

    /** @return array{string, bool, Ground} topic, whether we have a page for it, our ground */
    public static function read(string $line): array
    {
        [$hasPage, $held, $of, $topic] = explode("\t", rtrim($line, "\n"), 4);

        return [$topic, $hasPage === '1', Ground::held((int) $held, (int) $of)];
    }
}
