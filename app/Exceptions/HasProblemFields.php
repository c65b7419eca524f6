<?php

declare(strict_types=1);

namespace App\Exceptions;

/** A refusal with more to tell a client than its sentence. */
interface HasProblemFields
{
    public function problemCode(): ProblemCode;

    /** @return array<string, mixed> members of its problem details (RFC 9457) */
    public function more(): array;
}
