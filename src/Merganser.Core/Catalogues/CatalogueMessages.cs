using Merganser.Core.Arrows;
using Merganser.Core.Messages;
using Merganser.Core.Units;

namespace Merganser.Core.Catalogues;

/// <summary>What is said of the catalogue and of what is read into it.</summary>
public abstract record CatalogueMessage : Message;

/// <summary>A row says that it is of another class than the table.</summary>
public sealed record RowSaysItIs(string Word, ComponentClass Table) : CatalogueMessage;

/// <summary>An id stands in an earlier row too.</summary>
public sealed record SameIdInRow(int Row) : CatalogueMessage;

/// <summary>The columns are those of another class.</summary>
/// <param name="Better">The class that they fit.</param>
/// <param name="Known">How many of them are known there.</param>
/// <param name="Asked">The class that was asked for.</param>
/// <param name="KnownThere">How many are known there.</param>
public sealed record ColumnsOfAnother(ComponentClass Better, int Known, ComponentClass Asked, int KnownThere)
    : CatalogueMessage;

/// <summary>A table has more rows than are read at once.</summary>
public sealed record TooManyRows(int Most) : CatalogueMessage;

/// <summary>A file is no catalogue of this application.</summary>
public sealed record NoCatalogueFile(string Format) : CatalogueMessage;

/// <summary>So many fields of a file cannot be read.</summary>
public sealed record FieldsUnread(int Count) : CatalogueMessage;

/// <summary>A row has cells for which the header has no column.</summary>
public sealed record CellsWithoutColumn(int Count) : CatalogueMessage;

/// <summary>An arrow that is suggested to begin with.</summary>
public sealed record ArrowSuggested(string Shaft, Measure Length, Measure Point, Measure Ratio, Message Fit)
    : CatalogueMessage;

/// <summary>What is said of the catalogue without any quantity.</summary>
public enum CatalogueSays
{
    NoHeaderLine,
    NothingToWrite,
    WholePieces,
}
