using Merganser.Data;

namespace Merganser.Web.Guard;

/// <summary>
/// A page says which bench it belongs to: what it sends to another one, which has taken its address meanwhile, is not
/// taken.
/// </summary>
public static class SameBench
{
    /// <summary>Refuses what is sent to another bench than the page's own; reading is answered.</summary>
    public static ValueTask<object?> Check(EndpointFilterInvocationContext call, EndpointFilterDelegate next)
    {
        var request = call.HttpContext.Request;
        var wanted = request.Headers[PageHeaders.BenchHeader].ToString();
        return
            wanted.Length == 0
            || HttpMethods.IsGet(request.Method)
            || wanted == request.HttpContext.RequestServices.GetRequiredService<Database>().Bench
            ? next(call)
            : throw new OtherBenchException();
    }
}

/// <summary>Something was sent to a bench that it does not belong to.</summary>
public sealed class OtherBenchException() : Exception("other-bench");
