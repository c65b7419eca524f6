<?php

declare(strict_types=1);

namespace Tests\Feature\Answers;

use PHPUnit\Framework\Assert;

/**
 * Answers as they were when they were last written down, in tests/Fixtures/answers. REACH_ANSWERS=write puts those of now in their place,
 * to be read through: `git diff` tells what changed.
 */
final class AnswerBook
{
    /** What differs from one database to the next. */
    private const NUMBERS = '/^(id|item|draft|newest_change|gone|next|undone|domain|.*_id|import|comparison|change|version|restores|'
        .'token|release|as_of|url_token)$/';

    /** The database has a clock of its own. */
    private const TIMES = '/\d{4}-\d\d-\d\d[ T]\d\d:\d\d(:\d\d[.\d]*)?(\+\d\d(:\d\d)?|Z)?/';

    /** How far a task has come when it is told hangs on how quick the machine is. */
    private const PACE = ['stage', 'done', 'total', 'remaining_seconds'];

    private const SECRETS = [
        '/(welcome#|signature=|expires=|brief\/|uploads\/|tasks\/)\w+/', '/()\d+(?=-list\.csv)/', '/(plan(?:Draft|Item) |\{"|,")\d+/',
        '/()[\da-f]{8}(?:-[\da-f]{4}){3}-[\da-f]{12}/',
    ];

    /** Of longer lists the beginning stands word for word, of the rest its digest. */
    private const SHOWN = 6;

    /** @var array<string, mixed> question → answer */
    private array $answers = [];

    /** @param list<string> $secrets texts that are others each time, such as the study's name in addresses */
    public function __construct(private readonly string $name, private readonly array $secrets)
    {
    }

    public function add(string $question, mixed $answer): void
    {
        $key = str_replace($this->secrets, '*', $question);
        while (isset($this->answers[$key])) {
            $key .= ', again';
        }
        $this->answers[$key] = $this->still('', $answer);
    }

    public function check(): void
    {
        $path = __DIR__."/../../Fixtures/answers/{$this->name}.txt";
        $now = $this->written();
        if (getenv('REACH_ANSWERS') === 'write') {
            file_put_contents($path, $now);
        }
        Assert::assertFileExists($path, 'Made by REACH_ANSWERS=write.');
        $known = explode("\n", (string) file_get_contents($path));
        foreach (explode("\n", $now) as $number => $line) {
            Assert::assertSame($known[$number] ?? '', $line, "{$this->name}.txt, line ".($number + 1));
        }
        Assert::assertCount(substr_count($now, "\n") + 1, $known, $this->name);
    }

    /** A line for each field of an answer, and for each entry of a list in it. */
    private function written(): string
    {
        $lines = [];
        foreach ($this->answers as $question => $answer) {
            $lines[] = "# {$question}";
            foreach (\is_array($answer) ? $answer : [$answer] as $field => $value) {
                if (\is_array($value) && array_is_list($value)) {
                    $lines[] = "{$field}:";
                    foreach ($value as $entry) {
                        $lines[] = '  '.self::json($entry);
                    }
                } else {
                    $lines[] = "{$field}: ".self::json($value);
                }
            }
        }

        return implode("\n", $lines)."\n";
    }

    private static function json(mixed $value): string
    {
        return json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE);
    }

    private function still(string $key, mixed $value): mixed
    {
        if (\is_array($value)) {
            return $this->stillList($value);
        }
        if ((\is_int($value) || \is_string($value) && ctype_digit($value)) && preg_match(self::NUMBERS, $key) === 1) {
            return '*';
        }
        if (\is_float($value)) {
            return (float) sprintf('%.8g', $value);
        }

        return \is_string($value) ? $this->stillText($value) : $value;
    }

    private function stillText(string $text): string
    {
        $still = (string) preg_replace(self::TIMES, '(time)', str_replace($this->secrets, '*', $text));

        return (string) preg_replace(self::SECRETS, '$1*', $still);
    }

    /**
     * @param array<mixed> $list
     *
     * @return array<mixed>
     */
    private function stillList(array $list): array
    {
        $still = [];
        if (\array_key_exists('remaining_seconds', $list)) {
            $list = [...$list, ...array_fill_keys(self::PACE, '*')];
        }
        foreach ($list as $key => $value) {
            $still[\is_string($key) ? $this->stillText($key) : $key] = $this->still((string) $key, $value);
        }
        $list = $still;
        if (! array_is_list($list) || \count($list) <= self::SHOWN + 1) {
            return $list;
        }
        $rest = \array_slice($list, self::SHOWN);

        return [...\array_slice($list, 0, self::SHOWN), sprintf('%d more: %s', \count($rest), md5(self::json($rest)))];
    }
}
