using System.Data;
using Dapper;

namespace Merganser.Data;

/// <summary>Statements to the data file on one connection, in one transaction: they all see the same state.</summary>
public sealed class Sql(IDbConnection connection, IDbTransaction transaction, Action counted)
{
    /// <summary>Rows of a query.</summary>
    public IEnumerable<T> Query<T>(string statement, object? values = null) =>
        Counted.Query<T>(statement, values, transaction);

    /// <summary>The first row of a query, or nothing.</summary>
    public T? First<T>(string statement, object? values = null) =>
        Counted.QueryFirstOrDefault<T>(statement, values, transaction);

    /// <summary>One value, or nothing.</summary>
    public T? Scalar<T>(string statement, object? values = null) =>
        Counted.ExecuteScalar<T>(statement, values, transaction);

    /// <summary>Carries a statement out, once for each of several values.</summary>
    /// <returns>How many rows it changed.</returns>
    public int Execute(string statement, object? values = null) => Counted.Execute(statement, values, transaction);

    private IDbConnection Counted
    {
        get
        {
            counted();
            return connection;
        }
    }

    /// <summary>A command that is carried out many times with other values; its caller disposes of it.</summary>
    public IDbCommand Command(string statement)
    {
        var command = connection.CreateCommand();
        (command.Transaction, command.CommandText) = (transaction, statement);
        return command;
    }
}
