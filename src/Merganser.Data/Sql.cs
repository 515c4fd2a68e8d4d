using System.Data;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Merganser.Data;

/// <summary>Statements to the data file on one connection, in one transaction: they all see the same state.</summary>
public sealed class Sql
{
    private readonly PreparedConnection connection;
    private readonly SqliteTransaction transaction;
    private readonly Action counted;

    internal Sql(PreparedConnection connection, SqliteTransaction transaction, Action counted) =>
        (this.connection, this.transaction, this.counted) = (connection, transaction, counted);

    /// <summary>Rows of a query.</summary>
    public IEnumerable<T> Query<T>(string statement, object? values = null) =>
        Counted(statement).Query<T>(statement, values, transaction);

    /// <summary>The first row of a query, or nothing.</summary>
    public T? First<T>(string statement, object? values = null) =>
        Counted(statement).QueryFirstOrDefault<T>(statement, values, transaction);

    /// <summary>One value, or nothing.</summary>
    public T? Scalar<T>(string statement, object? values = null) =>
        Counted(statement).ExecuteScalar<T>(statement, values, transaction);

    /// <summary>Carries a statement out, once for each of several values.</summary>
    /// <returns>How many rows it changed.</returns>
    public int Execute(string statement, object? values = null) =>
        Counted(statement).Execute(statement, values, transaction);

    private PreparedConnection Counted(string statement)
    {
        counted();
        return connection.For(statement);
    }

    /// <summary>A command that is carried out many times with other values; its caller disposes of it.</summary>
    public IDbCommand Command(string statement)
    {
        var command = connection.CreateCommand();
        (command.Transaction, command.CommandText) = (transaction, statement);
        return command;
    }
}
