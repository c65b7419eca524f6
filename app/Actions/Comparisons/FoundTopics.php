<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Meaning\Topics;

/** The topic that was found for each keyword, and for how many keywords of that topic one of our URLs ranks within 50. */
final readonly class FoundTopics
{
    /** @var array<string, int> */
    private array $ownPages;

    /** @param string $isOwnPage a `1` for each keyword, in key order, for which one of our URLs ranks near; a `0` for the others */
    public function __construct(private Topics $topics, string $isOwnPage)
    {
        $counts = [];
        $number = 0;
        foreach ($topics->byKeyword() as $topic) {
            if ($isOwnPage[$number++] === '1') {
                $counts[$topic] = ($counts[$topic] ?? 0) + 1;
            }
        }
        $this->ownPages = $counts;
    }

    public function count(): int
    {
        return $this->topics->count();
    }

    /** @return \Generator<int, string> a line for each keyword, in key order: own pages of its topic, a tab, the topic */
    public function lines(): \Generator
    {
        foreach ($this->topics->byKeyword() as $topic) {
            yield ($this->ownPages[$topic] ?? 0)."\t{$topic}\n";
        }
    }

    /** @return array{string, int} topic, own pages */
    public static function read(string $line): array
    {
        [$ownPages, $topic] = explode("\t", rtrim($line, "\n"), 2);

        return [$topic, (int) $ownPages];
    }
}
