<?php

declare(strict_types=1);

namespace StandIn;

/** Remembers who ranked where in a month, so that a month is drawn once and not for every page of an answer. */
final readonly class MonthStore
{
    /** The code that a month is drawn by. */
    private const DRAWN_BY = 'Market,MarketDomain,MarketKeyword,KeywordMaker,PageStrength,WorkedPages,Vocabulary,Noise';

    public function __construct(private string $folder)
    {
    }

    /**
     * @param string $market what tells it from another one: its seed and subjects
     * @param \Closure(): array<string, array<string, array{position: int, url: string}>> $draw
     *
     * @return array<string, array<string, array{position: int, url: string}>> keyword → host → its best ranking
     */
    public function month(string $market, int $month, \Closure $draw): array
    {
        $path = sprintf('%s/%s-%s-%d.json', $this->folder, self::version(), $market, $month);
        if (is_file($path)) {
            /** @var array<string, array<string, array{position: int, url: string}>> $kept */
            $kept = json_decode((string) file_get_contents($path), true, 8, JSON_THROW_ON_ERROR);

            return $kept;
        }
        $drawn = $draw();
        $this->keep($path, json_encode($drawn, JSON_THROW_ON_ERROR));

        return $drawn;
    }

    /**
     * @param string                           $market as for a month
     * @param \Closure(): list<MarketKeyword> $make
     *
     * @return list<MarketKeyword>
     */
    public function keywords(string $market, \Closure $make): array
    {
        $path = sprintf('%s/%s-%s-keywords', $this->folder, self::version(), $market);
        if (is_file($path)) {
            /** @var list<MarketKeyword> */
            return unserialize((string) file_get_contents($path), ['allowed_classes' => [MarketKeyword::class]]);
        }
        $made = $make();
        $this->keep($path, serialize($made));

        return $made;
    }

    private function keep(string $path, string $content): void
    {
        if (is_dir($this->folder) || @mkdir($this->folder, 0o755, true)) {
            file_put_contents($path.'.'.getmypid(), $content);
            rename($path.'.'.getmypid(), $path);
        }
    }

    /** Another market of another version of this code is another market. */
    private static function version(): string
    {
        return substr(
            hash(
                'xxh64',
                implode(
                    '',
                    array_map(
                        static fn(string $path): string => (string) hash_file('xxh64', $path),
                        [...(glob(__DIR__.'/{'.self::DRAWN_BY.'}.php', GLOB_BRACE) ?: []), WorkedPages::CHOSEN],
                    ),
                ),
            ),
            0,
            8,
        );
    }
}
