<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Studies\StudiesQuery;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** Which page of the studies someone wants to see. */
final class StudyListRequest extends FormRequest
{
    private const USUAL = 50;
    private const MOST = 200;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'name' => ['nullable', 'string', 'max:200'],
            'group' => ['nullable', Rule::in(array_keys(StudiesQuery::GROUPS))],
            'cursor' => ['nullable', 'string', 'max:2000'],
            'limit' => ['nullable', 'integer', 'min:1', 'max:'.self::MOST],
        ];
    }

    public function person(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new \LogicException('Sign in first.');
    }

    public function group(): ?string
    {
        return $this->string('group')->value() ?: null;
    }

    /** Part of a name or of a domain; empty for all. */
    public function wanted(): string
    {
        return $this->string('name')->trim()->value();
    }

    public function cursor(): ?string
    {
        return $this->string('cursor')->value() ?: null;
    }

    public function limit(): int
    {
        return $this->integer('limit', self::USUAL);
    }
}
