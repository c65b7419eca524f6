<?php

declare(strict_types=1);

namespace App\Exceptions;

/** Which kind of refusal it is, for a client to match; it stays the same when the wording of the sentence beside it changes. */
enum ProblemCode: string
{
    case NotUnderstood = 'not_understood';
    case SignedOut = 'signed_out';
    case NotAllowed = 'not_allowed';
    case NotFound = 'not_found';
    case MethodNotAllowed = 'method_not_allowed';
    case ChangedMeanwhile = 'changed_meanwhile';
    case TooLarge = 'too_large';
    case SessionExpired = 'session_expired';
    /** Fields of the request are missing or have the wrong form. */
    case FieldsNotRight = 'fields_not_right';
    /** A single value cannot be what it claims to be. */
    case ValueNotRight = 'value_not_right';
    case SentenceNotUnderstood = 'sentence_not_understood';
    case FileNotRead = 'file_not_read';
    /** The file was read, and its rows were not good enough to keep any. */
    case RowsNotRight = 'rows_not_right';
    /** Understood, and not possible as things stand. */
    case Refused = 'refused';
    case TooManyAttempts = 'too_many_attempts';
    /** A disk of the server is full (RFC 4918, §11.5). */
    case NoRoom = 'no_room';
    case Failed = 'failed';
    /** It took too long and was stopped. */
    case Stopped = 'stopped';

    /** For failures that are told by their HTTP status alone. */
    public static function ofStatus(int $status): self
    {
        return match ($status) {
            401 => self::SignedOut,
            403 => self::NotAllowed,
            404 => self::NotFound,
            405 => self::MethodNotAllowed,
            409 => self::ChangedMeanwhile,
            413 => self::TooLarge,
            419 => self::SessionExpired,
            422 => self::Refused,
            429 => self::TooManyAttempts,
            503 => self::Stopped,
            507 => self::NoRoom,
            default => $status < 500 ? self::NotUnderstood : self::Failed,
        };
    }

    /** The title of RFC 9457: short, and the same for every problem of the kind. */
    public function title(): string
    {
        return match ($this) {
            self::NotUnderstood => 'Bad request',
            self::SignedOut => 'Sign in first',
            self::NotAllowed => 'Not allowed',
            self::NotFound => 'Not found',
            self::MethodNotAllowed => 'Method not allowed',
            self::ChangedMeanwhile => 'Changed by someone else',
            self::TooLarge => 'Too large',
            self::SessionExpired => 'Session expired',
            self::FieldsNotRight,
            self::ValueNotRight,
            self::SentenceNotUnderstood,
            self::FileNotRead,
            self::RowsNotRight,
            self::Refused
                => 'Refused',
            self::TooManyAttempts => 'Too many attempts',
            self::NoRoom => 'No room',
            self::Failed => 'Failed',
            self::Stopped => 'Stopped',
        };
    }
}
