namespace UpperStill.Formats.Packages;

/// <summary>A column of a table.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Type">Its type in the Table Schema: string, integer, number, date, datetime, boolean.</param>
/// <param name="Description">What stands in it, with its unit.</param>
/// <param name="Since">True where packages of earlier builds may lack it.</param>
public sealed record PackageField(string Name, string Type, string Description, bool Since = false);

/// <summary>A table of a package.</summary>
/// <param name="Name">Its name, which is the file's without its ending.</param>
/// <param name="Description">What it holds.</param>
/// <param name="Fields">Its columns.</param>
/// <param name="Plain">True where people open it in a spreadsheet: a field that would be taken for a formula is kept as text. False where
/// it is read back to the letter.</param>
public sealed record PackageTable(string Name, string Description, IReadOnlyList<PackageField> Fields, bool Plain = false)
{
    /// <summary>The file's name.</summary>
    public string Path => $"{Name}.csv";
}
