<?php

declare(strict_types=1);

namespace Benchmark\Judgement;

use StandIn\Noise;

/**
 * A market whose truth is known: topics with their keywords, pages of five domains, places by month, and what work on a page of ours
 * brings. The same for the same kind and seed.
 *
 * @phpstan-type Keyword array{text: string, topic: int, volume: int, difficulty: float}
 */
final class Market
{
    public const DOMAINS = ['ours.example', 'second.example', 'third.example', 'fourth.example', 'fifth.example'];

    private const TOPICS = 420;
    private const SUBJECTS = [
        'lamp', 'chair', 'kettle', 'rug', 'desk', 'shelf', 'curtain', 'mirror', 'basket', 'pillow',
        'clock', 'vase', 'stool', 'bench', 'tray', 'blanket', 'candle', 'frame', 'hook', 'ladder',
    ];
    private const WAYS = ['%s', 'best %s', '%s price', 'how to choose a %s', 'small %s', '%s guide', 'modern %s', '%s review'];
    private const LAST = 100;

    /** Of our pages that are worked on so many move, and by how much: mean and standard deviation. */
    private const MOVING = .5;
    private const EFFECT = .9;
    private const EFFECT_DEVIATION = .35;

    /** Draws that a true expectation is the mean of. */
    private const DRAWS = 60;

    /** @var list<Keyword> */
    public readonly array $keywords;

    /** @var list<list<int>> topic → numbers of its keywords */
    private readonly array $ofTopic;
    private readonly Noise $noise;

    /** @var array<int, int> topic that we worked on → number of the draw that came true */
    private array $worked = [];

    public function __construct(public readonly MarketKind $kind, int $seed)
    {
        $this->noise = new Noise($seed);
        $keywords = $ofTopic = [];
        for ($topic = 0; $topic < self::TOPICS; ++$topic) {
            $subject = self::SUBJECTS[$topic % \count(self::SUBJECTS)];
            $demand = exp(5.2 + 1.25 * $this->noise->normal("demand {$topic}"));
            $count = 1 + (int) floor(7.99 * $this->noise->uniform("keywords {$topic}") ** 1.5);
            for ($way = 0; $way < $count; ++$way) {
                $ofTopic[$topic][] = \count($keywords);
                $keywords[] = [
                    'text' => sprintf(self::WAYS[$way], $this->thing($topic).' '.$subject),
                    'topic' => $topic,
                    'volume' => max(10, 10 * (int) round($demand * $this->share($topic, $way) / 10)),
                    'difficulty' => round(max(0, min(100, $this->difficulty($topic) - 3 * $way
                        + $kind->difficultyNoise * $this->noise->normal("rated {$topic} {$way}"))), 1),
                ];
            }
        }
        [$this->keywords, $this->ofTopic] = [$keywords, $ofTopic];
    }

    /** How many search for a topic in one way, against the first. */
    private function share(int $topic, int $way): float
    {
        return exp(-.45 * $way + .4 * $this->noise->normal("way {$topic} {$way}"));
    }

    /** A made-up word of three syllables, another one for every topic. */
    private function thing(int $topic): string
    {
        $syllable = static fn(int $number): string => 'bdfgklmnprstvz'[$number % 14].'aeiou'[intdiv($number, 14) % 5];

        return $syllable($topic).$syllable(intdiv($topic, 7) + 31).$syllable(3 * $topic + 11).'x';
    }

    private function difficulty(int $topic): float
    {
        return max(3, min(95, 38 + 16 * $this->noise->normal("difficulty {$topic}") + 5 * ($this->noise->normal("demand {$topic}"))));
    }

    /** Probability that a searcher clicks the result at a place; none beyond the last. */
    public static function clicked(?int $place): float
    {
        return $place === null ? 0.0 : .28 * $place ** -1.18;
    }

    public function url(int $domain, int $topic): string
    {
        $subject = self::SUBJECTS[$topic % \count(self::SUBJECTS)];

        return 'https://'.self::DOMAINS[$domain].'/'.$subject.'/'.$this->thing($topic);
    }

    public function referringDomains(int $domain, int $topic): int
    {
        $level = .02 * $this->kind->authorities[$domain] + .9 * $this->noise->normal("links {$domain} {$topic}");

        return (int) floor(exp(max(0, $level)) - 1);
    }

    /** Whether a domain has a page for a topic in a month; months before the first have whatever was there from the start. */
    public function hasPage(int $domain, int $topic, int $month): bool
    {
        if ($domain === 0 && isset($this->worked[$topic])) {
            return true;
        }
        $coverage = $domain === 0 ? $this->kind->ourCoverage : .25 + .006 * $this->kind->authorities[$domain];
        $draw = $this->noise->uniform("has {$domain} {$topic}");

        return $draw < $coverage + ($domain === 0 ? 0 : $this->kind->publishing * $month);
    }

    /** Our best place for a keyword in a month, as it comes out. */
    public function place(int $domain, int $keyword, int $month): ?int
    {
        $topic = $this->keywords[$keyword]['topic'];
        if ($domain === 0 && isset($this->worked[$topic])) {
            return $this->afterWork($keyword, $this->worked[$topic], $month);
        }

        return $this->hasPage($domain, $topic, $month)
            ? $this->placeOf($domain, $keyword, $month, $this->quality($domain, $topic), 0.0)
            : null;
    }

    /** Visits a month that a page for a topic truly brings on top when we work on it now: the expectation over what can come of it. */
    public function trueGain(int $topic, int $month): float
    {
        $sum = 0.0;
        for ($draw = 0; $draw < self::DRAWS; ++$draw) {
            $sum += $this->gained($topic, $draw, $month);
        }

        return $sum / self::DRAWS;
    }

    /** The same of one draw of what can come of it. */
    public function gained(int $topic, int $draw, int $month): float
    {
        $sum = 0.0;
        foreach ($this->ofTopic[$topic] as $keyword) {
            $now = self::clicked($this->place(0, $keyword, $month));
            $sum += $this->keywords[$keyword]['volume'] * (self::clicked($this->afterWork($keyword, $draw, $month)) - $now);
        }

        return $sum;
    }

    /** Lets one draw come true: our page for the topic is there, and better or not. */
    public function work(int $topic, int $draw): void
    {
        $this->worked[$topic] = $draw;
    }

    public function isWorked(int $topic): bool
    {
        return isset($this->worked[$topic]);
    }

    /** @return list<int> numbers of the topics */
    public function topics(): array
    {
        return array_keys($this->ofTopic);
    }

    /** @return int number of the keyword that is searched for most, as it is drawn */
    public function leadOf(int $topic): int
    {
        return $this->ofTopic[$topic][0];
    }

    /** Whether we have a page, whatever we have worked on. */
    public function hadPage(int $topic): bool
    {
        return $this->noise->uniform("has 0 {$topic}") < $this->kind->ourCoverage;
    }

    private function afterWork(int $keyword, int $draw, int $month): ?int
    {
        $topic = $this->keywords[$keyword]['topic'];
        if (! $this->hadPage($topic)) {
            return $this->placeOf(0, $keyword, $month, $this->kind->ourCraft + .8 * $this->noise->normal("new {$topic} {$draw}"), 0.0);
        }
        $moves = $this->noise->uniform("moves {$topic} {$draw}") < self::MOVING;
        $by = $moves ? max(.1, self::EFFECT + self::EFFECT_DEVIATION * $this->noise->normal("by {$topic} {$draw}")) : 0.0;

        return $this->placeOf(0, $keyword, $month, $this->quality(0, $topic), $by);
    }

    private function quality(int $domain, int $topic): float
    {
        return .8 * $this->noise->normal("quality {$domain} {$topic}");
    }

    private function placeOf(int $domain, int $keyword, int $month, float $quality, float $gained): ?int
    {
        $topic = $this->keywords[$keyword]['topic'];
        $subject = $topic % \count(self::SUBJECTS);
        $kind = $this->kind;
        $strength = $quality + $gained
            + $kind->subjectStrength * $this->noise->normal("subject {$domain} {$subject}")
            + .03 * ($kind->authorities[$domain] - 40)
            + $kind->linkStrength * (log(1 + $this->referringDomains($domain, $topic)) - .9)
            + ($domain === 0 ? 0.0 : $kind->rivalsGrow * $month)
            + .35 * $this->noise->normal("fit {$domain} {$keyword}")
            + .08 * $this->noise->normal("month {$domain} {$keyword} {$month}");
        $hard = ($this->difficulty($topic) - 3 * ($keyword - $this->ofTopic[$topic][0]) - 40) / 10;
        $place = $kind->isRanking
            ? 1 + 80 * .5 * (1 - self::erf(($strength + .4 - .4 * $hard) / M_SQRT2))
            : exp(3.6 + .35 * $hard - $strength);

        return $place > self::LAST ? null : max(1, (int) round($place));
    }

    /** Abramowitz and Stegun 7.1.26; off by less than 1.5e-7 (from memory). */
    private static function erf(float $x): float
    {
        $t = 1 / (1 + .3275911 * abs($x));
        $tail = ((((1.061405429 * $t - 1.453152027) * $t + 1.421413741) * $t - .284496736) * $t + .254829592) * $t * exp(-$x * $x);

        return $x < 0 ? $tail - 1 : 1 - $tail;
    }
}
