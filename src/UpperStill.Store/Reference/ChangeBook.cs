namespace UpperStill.Store.Reference;

/// <summary>Notes who changed what when.</summary>
public static class ChangeBook
{
    /// <summary>Adds the note to what is about to be saved; nothing is added where nothing changed.</summary>
    /// <param name="book">The database.</param>
    /// <param name="by">Who.</param>
    /// <param name="at">When.</param>
    /// <param name="subject">What sort of thing, for example <c>station</c>.</param>
    /// <param name="key">Which one.</param>
    /// <param name="before">As it was.</param>
    /// <param name="after">As it will be.</param>
    /// <returns>True where something changed.</returns>
    public static bool Note(this FieldBook book, string by, DateTimeOffset at, string subject, string key, string? before, string? after)
    {
        ArgumentNullException.ThrowIfNull(book);
        if (before == after)
        {
            return false;
        }

        book.Changes.Add(
            new ChangeRow
            {
                By = by,
                At = at,
                Subject = subject,
                Key = key,
                Before = before,
                After = after,
            }
        );
        return true;
    }
}
