<?php

declare(strict_types=1);

namespace App\Support\Sentence;

use App\Exceptions\HasProblemFields;
use App\Exceptions\ProblemCode;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Exception\ReachException;

/** A clause of a sentence that cannot be understood; names the clause and what would be right. */
final class SentenceProblem extends \InvalidArgumentException implements ReachException, HasProblemFields
{
    private function __construct(public readonly string $clause, string $reason)
    {
        parent::__construct(sprintf('In the sentence, "%s" %s.', InvalidValue::quote($clause), $reason));
    }

    public function problemCode(): ProblemCode
    {
        return ProblemCode::SentenceNotUnderstood;
    }

    public function more(): array
    {
        return ['errors' => ['show' => [$this->getMessage()]], 'clause' => $this->clause];
    }

    public static function in(string $clause, string $reason): self
    {
        return new self($clause, $reason);
    }
}
