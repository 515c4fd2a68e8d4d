namespace Merganser.Data;

/// <summary>Primary result codes of SQLite that are told apart (sqlite.org/rescode.html).</summary>
public static class SqliteCodes
{
    /// <summary>Another connection has the file.</summary>
    public const int Busy = 5;

    /// <summary>A table is locked within the connection or its shared cache.</summary>
    public const int Locked = 6;

    /// <summary>A rule of the tables was broken.</summary>
    public const int Constraint = 19;

    /// <summary>No room is left on the disk.</summary>
    public const int Full = 13;
}
