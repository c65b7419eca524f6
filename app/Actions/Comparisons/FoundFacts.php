<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Meaning\Topics;
use GreaterReach\Core\Winning\Ground;

/**
 * What only all keywords together tell of each: its topic, for how many keywords of that topic one of our URLs ranks within 50, and the
 * ground that we hold.
 */
final readonly class FoundFacts
{
    private const PACKED = 'VV';
    private const BYTES = 8;

    /** @var array<string, int> */
    private array $ownPages;

    /**
     * @param string $isOwnPage a `1` for each keyword, in key order, for which one of our URLs ranks near; a `0` for the others
     * @param string $grounds   ours for each keyword, as packed() makes them
     */
    public function __construct(private Topics $topics, string $isOwnPage, private string $grounds)
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

    public static function packed(Ground $ground): string
    {
        return pack(self::PACKED, $ground->held === null ? 0 : $ground->held + 1, (int) $ground->of);
    }

    public function topics(): int
    {
        return $this->topics->count();
    }

    /**
     * @return \Generator<int, string> a line for each keyword, in key order: own pages of its topic, held and of of our ground, the topic
     */
    public function lines(): \Generator
    {
        $place = 0;
        foreach ($this->topics->byKeyword() as $topic) {
            /** @var array{1: int, 2: int} $ground */
            $ground = unpack('V2', $this->grounds, $place);
            $place += self::BYTES;
            yield ($this->ownPages[$topic] ?? 0)."\t{$ground[1]}\t{$ground[2]}\t{$topic}\n";
        }
    }

    /** @return array{string, int, Ground} topic, own pages, our ground */
    public static function read(string $line): array
    {
        [$ownPages, $held, $of, $topic] = explode("\t", rtrim($line, "\n"), 4);

        return [$topic, (int) $ownPages, $held === '0' ? Ground::none() : Ground::held((int) $held - 1, (int) $of)];
    }
}
